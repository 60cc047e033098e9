import { isPlain } from './plainParts.ts';
import type { AttributeName, PartType, PartWork } from './schema.ts';

/** How one attribute is judged. `need` is how often it is right when nobody has measured it. */
export type Rule =
  | { readonly kind: 'exact'; readonly need: number }
  | {
      readonly kind: 'size';
      readonly need: number;
      /** Largest difference that still fits: a fixed part and a share of the wanted value. */
      readonly fixed: number;
      readonly share: number;
      readonly above?: Work;
      readonly below?: Work;
    };

/** Work that makes a part fit which is too large or too small by at most so much. */
interface Work {
  readonly fixed: number;
  readonly share: number;
  readonly work: (difference: number) => PartWork;
}

/**
 * Tolerances of the project for small gears: a pitch must agree within 0.6 % or the flanks climb
 * within a few teeth (24 DP is 5.8 % off module 1); the rest are bench figures, marked as judgement
 * in docs/formats.md.
 */
export const RULES: Readonly<Partial<Record<AttributeName, Rule>>> = {
  type: { kind: 'exact', need: 0.9 },
  starts: { kind: 'exact', need: 0.6 },
  teeth: { kind: 'exact', need: 0.3 },
  hand: { kind: 'exact', need: 0.85 },
  boreShape: { kind: 'exact', need: 0.7 },
  splineTeeth: { kind: 'exact', need: 0.5 },
  mateTeeth: { kind: 'exact', need: 0.7 },
  axialModuleMm: { kind: 'size', need: 0.5, fixed: 0, share: 0.006 },
  normalModuleMm: { kind: 'size', need: 0.5, fixed: 0, share: 0.006 },
  diametralPitch: { kind: 'size', need: 0.5, fixed: 0, share: 0.006 },
  pressureAngleDeg: { kind: 'size', need: 0.75, fixed: 1.5, share: 0 },
  helixAngleDeg: { kind: 'size', need: 0.6, fixed: 1, share: 0 },
  leadAngleDeg: { kind: 'size', need: 0.7, fixed: 1, share: 0 },
  pitchDiameterMm: { kind: 'size', need: 0.5, fixed: 0.1, share: 0.003 },
  tipDiameterMm: { kind: 'size', need: 0.5, fixed: 0.15, share: 0.003 },
  outsideDiameterMm: { kind: 'size', need: 0.5, fixed: 0.15, share: 0.003 },
  centreDistanceMm: { kind: 'size', need: 0.6, fixed: 0.08, share: 0.002 },
  boreDiameterMm: {
    kind: 'size',
    need: 0.4,
    fixed: 0.08,
    share: 0,
    below: { fixed: 1.5, share: 0, work: () => 'openBore' },
    above: {
      fixed: 3,
      share: 0,
      work: (difference) => (difference <= 0.15 ? 'bond' : 'sleeve'),
    },
  },
  dFlatMm: { kind: 'size', need: 0.5, fixed: 0.1, share: 0 },
  keyWidthMm: { kind: 'size', need: 0.5, fixed: 0.05, share: 0 },
  faceWidthMm: {
    kind: 'size',
    need: 0.6,
    fixed: 0.15,
    share: 0.02,
    above: { fixed: 0, share: 0.25, work: () => 'narrowFace' },
  },
  hubDiameterMm: {
    kind: 'size',
    need: 0.7,
    fixed: 0.3,
    share: 0.02,
    above: { fixed: 2, share: 0, work: () => 'turnHub' },
  },
  hubLengthMm: {
    kind: 'size',
    need: 0.7,
    fixed: 0.2,
    share: 0,
    above: { fixed: 3, share: 0, work: () => 'shortenHub' },
    below: { fixed: 3, share: 0, work: () => 'spacer' },
  },
  shaftDiameterMm: { kind: 'size', need: 0.4, fixed: 0.1, share: 0 },
  widthMm: { kind: 'size', need: 0.5, fixed: 0.15, share: 0.01 },
  heightMm: { kind: 'size', need: 0.5, fixed: 0.05, share: 0 },
  lengthMm: {
    kind: 'size',
    need: 0.5,
    fixed: 0.3,
    share: 0.005,
    above: { fixed: 0, share: 0.3, work: () => 'cutLength' },
  },
  thicknessMm: { kind: 'size', need: 0.6, fixed: 0.05, share: 0 },
  wireDiameterMm: { kind: 'size', need: 0.6, fixed: 0.05, share: 0.02 },
  coils: { kind: 'size', need: 0.6, fixed: 0.5, share: 0 },
};

/** Bores, seats and ends of these are ground or moulded: nothing is turned, opened out or cut (shop judgement). */
const AS_IT_IS: ReadonlySet<PartType> = new Set(['bearing', 'seal', 'spring', 'clip', 'cable', 'unit']);
/**
 * A rolling bearing's bore and outside diameter are made to a few hundredths of a millimetre (ISO 492, normal class: at
 * most 0.02 mm up to 120 mm), so that what a caliper shows beyond its own ± is another bearing; its neighbours differ by 1 mm.
 */
const BEARING_MM = 0.04;

/** How an attribute is judged on a part of this kind; undefined where nothing is known of judging it. */
export function ruleFor(name: AttributeName, type: PartType | undefined): Rule | undefined {
  const rule = RULES[name];
  if (rule?.kind !== 'size' || !isPlain(type)) return rule;
  const { above: _, below: __, ...asItIs } = rule;
  const sized = AS_IT_IS.has(type) ? asItIs : rule;
  return type === 'bearing' && (name === 'boreDiameterMm' || name === 'outsideDiameterMm')
    ? { ...sized, fixed: BEARING_MM, share: 0 }
    : sized;
}
