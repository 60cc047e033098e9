import { type Piece } from '@patient-badger/core';

export const PIECE_WORDS: Readonly<Record<Piece, { readonly choice: string; readonly column: string }>> = {
  new: { choice: 'New part', column: 'New' },
  donor: { choice: 'Donor', column: 'Donor' },
  otherSide: { choice: 'Other side', column: 'Other side' },
};
