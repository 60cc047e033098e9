import { t } from '@patient-badger/wording/bench';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import type { BenchMove } from '@patient-badger/core/job';
import { minutesText, percent } from '../wording/words.ts';

export interface Move {
  readonly text: string;
  readonly minutes?: string;
  /** Where pressing the card leads, below the job. */
  readonly to: string;
}

const ALONE = {
  nothingElse: { text: t.nothingElseOnThisList, to: '/verdict' },
  noneOfThese: { text: t.probablyNothingOnThisList, to: '' },
  noLookLeft: { text: t.noLookLeftThatIs, to: '/verdict' },
} as const;

/** The next move of a job in words; null while it is being worked out. */
export function moveWords(move: BenchMove | null, found: string | null): Move {
  if (move === null) return { text: t.workingOutTheNextMove, to: '' };
  switch (move.kind) {
    case 'finished':
      return { text: found || shared.finished, to: '/close' };
    case 'look':
      return { text: t.nextLook(move.name), minutes: minutesText(move.minutes), to: '' };
    case 'verdict':
      return { text: t.verdict(move.fault, percent(move.probability)), to: '/verdict' };
    case 'measure':
    case 'findPart':
      return { text: move.kind === 'measure' ? shared.measureTheGear : t.findThePartThatFits, to: `/gear/${move.gear}` };
    case 'receive':
      return { text: t.measureWhatCame, to: move.gear === null ? '/items' : `/receive/${move.gear}` };
    case 'waitForPart':
      return { text: t.waitingFor(move.name), to: '/items' };
    case 'setRight':
      return {
        text: move.remedy ?? shared.setItRightAndProve,
        ...(move.minutes > 0 && { minutes: minutesText(move.minutes) }),
        to: '/close',
      };
    default:
      return ALONE[move.kind];
  }
}

/** The stage at which the job stands, by where its next move is done. */
export function stageWord({ to }: Pick<Move, 'to'>): string {
  if (to.startsWith('/gear')) return shell.measure;
  if (to.startsWith('/receive') || to === '/items') return shell.match;
  return to === '/close' ? shared.close : shell.trace;
}
