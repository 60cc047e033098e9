import type { BenchMove } from '@patient-badger/core';
import { minutesText, percent } from '../wording/words.ts';

export interface Move {
  readonly text: string;
  readonly minutes?: string;
  /** Where pressing the card leads, below the job. */
  readonly to: string;
}

const ALONE = {
  nothingElse: { text: 'Nothing else on this list: set right what was found.', to: '/verdict' },
  noneOfThese: { text: 'Probably nothing on this list: see what to do.', to: '' },
  noLookLeft: { text: 'No look left that is worth its minutes: decide.', to: '/verdict' },
} as const;

/** The next move of a job in words; null while it is being worked out. */
export function moveWords(move: BenchMove | null, found: string | null): Move {
  if (move === null) return { text: 'Working out the next move …', to: '' };
  switch (move.kind) {
    case 'finished':
      return { text: found || 'Finished', to: '/close' };
    case 'look':
      return { text: `Next look: ${move.name}`, minutes: minutesText(move.minutes), to: '' };
    case 'verdict':
      return { text: `Verdict: ${move.fault}, ${percent(move.probability)}`, to: '/verdict' };
    case 'measure':
    case 'findPart':
      return { text: move.kind === 'measure' ? 'Measure the gear' : 'Find the part that fits', to: `/gear/${move.gear}` };
    case 'receive':
      return { text: 'Measure what came', to: move.gear === null ? '/items' : `/receive/${move.gear}` };
    case 'waitForPart':
      return { text: `Waiting for ${move.name}`, to: '/items' };
    case 'setRight':
      return {
        text: move.remedy ?? 'Set it right and prove it',
        ...(move.minutes > 0 && { minutes: minutesText(move.minutes) }),
        to: '/close',
      };
    default:
      return ALONE[move.kind];
  }
}
