import type { GearQuantity } from '@patient-badger/core';

/** A dimension in words of the bench, and how it is taken. */
export interface QuantityWords {
  readonly name: string;
  readonly short: string;
  readonly how: string;
  readonly kind: 'length' | 'angle' | 'count';
  /** What else has to be said: pitches measured over, or teeth of the wheel. */
  readonly over?: { readonly ask: string; readonly usual: number };
  /** For angles and counts: what a number beyond these is told. Counts are whole. */
  readonly within?: { readonly least: number; readonly most: number; readonly else: string };
}

/** Words for each dimension that a gear of a kind has. */
export type KindWords = Readonly<Partial<Record<GearQuantity, QuantityWords>>>;

/** Dimensions that are taken alike off gears of several kinds. */
export const COMMON_WORDS = {
  teeth: {
    name: 'Teeth',
    short: 'Teeth',
    how: 'Mark one tooth and count round to it. Count the missing ones too.',
    kind: 'count',
    within: { least: 4, most: 500, else: 'Teeth are counted: a whole number, 4 to 500.' },
  },
  boreDiameterMm: {
    name: 'Bore',
    short: 'Bore',
    how: 'Inside jaws; turn by a quarter and measure again: a worn bore is oval.',
    kind: 'length',
  },
  faceWidthMm: { name: 'Face width', short: 'Face width', how: 'Along the teeth, face to face.', kind: 'length' },
} as const satisfies KindWords;
