import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearQuantity } from '@patient-badger/core/gear';

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
  tipWidthMm: { name: t.tipWhereItWorked, short: t.workedTip, how: t.overOneTipWhereItHas, kind: 'length' },
  freshTipWidthMm: { name: t.tipWhereFresh, short: t.freshTip, how: t.overOneTipAtTheEnd, kind: 'length' },
  teeth: {
    name: shared.teeth,
    short: shared.teeth,
    how: t.markOneToothAndCount,
    kind: 'count',
    within: { least: 4, most: 500, else: t.teethAreCountedAWhole },
  },
  boreDiameterMm: {
    name: shared.bore,
    short: shared.bore,
    how: t.insideJawsTurnByA,
    kind: 'length',
  },
  faceWidthMm: { name: shared.faceWidth, short: shared.faceWidth, how: t.alongTheTeethFaceTo, kind: 'length' },
} as const satisfies KindWords;
