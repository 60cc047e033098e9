import { t } from '@patient-badger/wording/shared';
import type { Look, Step } from '@patient-badger/core/machine';

const HANDS = { off: t.handsClearOfIt, near: t.handsBesideIt, in: t.handsInIt } as const;
const STANDS = { ground: t.onTheGround, stands: t.onStands, props: t.onProps, bench: t.onTheBenchInline } as const;
const MOVES = { none: t.nothingMoves, byHand: t.movedByHand, powered: t.underPower } as const;

/** Where hands are, what sets it in motion and what it stands on; nothing where the family does not say it. */
export function atWorkText({ handsAt, stands, moves }: Pick<Look | Step, 'handsAt' | 'stands' | 'moves'>): string | null {
  return handsAt && stands && moves ? `${HANDS[handsAt]}, ${MOVES[moves]}, ${STANDS[stands]}` : null;
}
