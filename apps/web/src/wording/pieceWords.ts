import { t } from '@patient-badger/wording/shared';
import type { Piece } from '@patient-badger/core/job';

export const PIECE_WORDS: Readonly<Record<Piece, { readonly choice: string; readonly column: string }>> = {
  new: { choice: t.newPart, column: t.new2 },
  donor: { choice: t.donor, column: t.donor },
  otherSide: { choice: t.otherSide, column: t.otherSide },
};
