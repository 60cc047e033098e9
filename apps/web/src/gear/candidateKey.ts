import type { WormCandidate } from '@patient-badger/core';

/** Names a candidate in an address. @example candidateKey(…) // 'module-1-1' */
export const candidateKey = ({ system, size, starts }: WormCandidate): string => `${system}-${size}-${starts}`;

/** The size as it is written on a drawing. */
export const sizeText = ({ system, size }: Pick<WormCandidate, 'system' | 'size'>): string =>
  system === 'module' ? `module ${size}` : `${size} DP`;
