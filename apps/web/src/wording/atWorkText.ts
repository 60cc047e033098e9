import type { Look, Step } from '@patient-badger/core';

const HANDS = { off: 'Hands clear of it', near: 'Hands beside it', in: 'Hands in it' } as const;
const STANDS = { ground: 'on the ground', stands: 'on stands', props: 'on props', bench: 'on the bench' } as const;
const MOVES = { none: 'nothing moves', byHand: 'moved by hand', powered: 'under power' } as const;

/** Where hands are, what sets it in motion and what it stands on; nothing where the family does not say it. */
export function atWorkText({ handsAt, stands, moves }: Pick<Look | Step, 'handsAt' | 'stands' | 'moves'>): string | null {
  return handsAt && stands && moves ? `${HANDS[handsAt]}, ${MOVES[moves]}, ${STANDS[stands]}` : null;
}
