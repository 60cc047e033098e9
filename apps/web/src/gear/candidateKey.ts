import type { Candidate, WormCandidate } from '@patient-badger/core';

/** Names a candidate in an address. @example candidateKey(…) // 'module-1-1' */
export const candidateKey = ({ system, size, starts }: WormCandidate): string => `${system}-${size}-${starts}`;

/** Names a spur or helical candidate. @example cylindricalKey(…) // 'module-1-25-20-0' */
export const cylindricalKey = ({ system, size, teeth, pressureAngleDeg, helixAngleDeg }: Candidate): string =>
  `${system}-${size}-${teeth}-${pressureAngleDeg}-${Math.round(helixAngleDeg)}`;

/** The size as it is written on a drawing. */
export const sizeText = ({ system, size }: Pick<WormCandidate, 'system' | 'size'>): string =>
  system === 'module' ? `module ${size}` : `${size} DP`;

/** Names a candidate that its size alone tells apart. */
export const sizeKey = ({ system, size }: Pick<WormCandidate, 'system' | 'size'>): string => `${system}-${size}`;
