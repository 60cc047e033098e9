import type { GearSystem } from './standardSizes.ts';

interface Size {
  readonly system: GearSystem;
  readonly size: number;
}

/** Names a candidate that its size alone tells apart. @example sizeKey({ system: 'module', size: 1.5 }) // 'module-1.5' */
export const sizeKey = ({ system, size }: Size): string => `${system}-${size}`;
