import { t } from '@patient-badger/wording/access';
import type { PutBack } from '@patient-badger/core/machine';

/** A piece of the way back with its words: the family's own, or those of a step that goes back as it came off. */
export const withWords = (piece: PutBack): PutBack =>
  piece.asItCameOff ? { ...piece, name: t.backStep(piece.name), how: t.asItCameOff } : piece;
