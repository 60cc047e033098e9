import { gearOutline, profileOf, type Cut } from '@patient-badger/core/gear';

type Point = readonly [x: number, y: number];

const FACTORS = [50, 20, 10, 5, 2, 1] as const;
/** A tooth is never drawn thinner than by this share of its thickness. */
const MOST_SHARE = 0.4;

/** How much wear is exaggerated: as much as still leaves a tooth to be seen. @example a thinning of 0.05 on a 1.57 mm tooth → 10 */
export function exaggeration(thinningMm: number, thicknessMm: number): number {
  if (thinningMm <= 0) return 1;
  return FACTORS.find((factor) => factor * thinningMm <= MOST_SHARE * thicknessMm) ?? 1;
}

export interface WornTeeth {
  readonly factor: number;
  readonly asNew: readonly Point[];
  readonly worn: readonly Point[];
}

/** Three teeth side by side, as new and as worn, with the wear exaggerated; mm, the middle one upright about the gear's centre. */
export function wornTeeth(cut: Cut, thinningMm: number, tipLossMm: number): WornTeeth {
  const factor = exaggeration(Math.max(thinningMm, tipLossMm / 2), profileOf(cut).thicknessMm);
  const worn: Cut = {
    ...cut,
    thinningMm: cut.thinningMm + Math.max(0, thinningMm) * factor,
    addendum: cut.addendum - (Math.max(0, tipLossMm) * factor) / 2 / cut.normalModuleMm,
  };
  return { factor, asNew: threeTeeth(cut), worn: threeTeeth(worn) };
}

/** The outline runs counter-clockwise from the upright tooth: the last tooth stands right of it, the second left. */
function threeTeeth(cut: Cut): readonly Point[] {
  const all = gearOutline(cut);
  const each = all.length / cut.teeth;
  return [...all.slice(-each), ...all.slice(0, 2 * each)];
}
