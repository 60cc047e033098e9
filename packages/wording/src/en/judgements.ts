import type { OperationOutput } from '@patient-badger/core';
import type { AttributeFit } from '@patient-badger/core/parts';
import { catalogue } from '../catalogue.ts';

type Wear = OperationOutput<'gear.wear'>;
type WearBeside = OperationOutput<'gear.wearBeside'>;
type BoreSeat = OperationOutput<'fit.bore'>;
type FitUse = NonNullable<OperationOutput<'fit.limits'>['nearest']>['use'];
type PartWork = NonNullable<AttributeFit['work']>;

const figure = (value: number, places: number): string => Math.abs(value).toFixed(places);

const t = catalogue({
  oneToothMissing: 'One tooth is missing.',
  teethMissing: (count: number) => `${count} teeth are missing.`,
  thinned: (mm: string, limitMm: string, source: string) => `${mm} mm thinner than new; the limit is ${limitMm} mm (${source}).`,
  wornToPoints: 'The teeth are worn to points.',
  littleTipLeft: (mm: string) => `Only ${mm} mm of tip is left.`,
  notSharpEnough: 'The reading is not sharp enough to call it good.',
  thinnerThanFresh: (mm: string, plusMinus: string) => `${mm} ± ${plusMinus} thinner than where it has not worked.`,
  limitIs: (mm: string, source: string) => `The limit is ${mm} (${source}).`,
  noLimit: 'Nobody has said how much it may lose: note a limit from the maker’s sheet below.',
  tenthOfModule: 'rule of thumb: a tenth of the module',
  limitAsGiven: 'the limit as given',
  measureBoreAndShaft: 'Measure the bore and the shaft.',
  measureSeat: 'Measure flats, key or splines of both, and the shaft’s diameter.',
  boreWider: (mm: string) => `The bore is ${mm} mm wider than the shaft: nothing holds a round press fit any more.`,
  hardlyTight: 'Hardly any interference left: turn the gear on its shaft with a finger.',
  interference: (mm: string) => `${mm} mm of interference.`,
  turningPlay: (deg: string, limitDeg: number, source: string) => `${deg}° of play on the shaft; the limit is ${limitDeg}° (${source}).`,
  ruleOfThumb: 'rule of thumb',
});

/** Whose limit a gear's wear was held against. */
export const wearLimitSource = ({
  limitSource,
  limitGiven,
}: {
  readonly limitSource?: string | undefined;
  readonly limitGiven: boolean;
}): string => limitSource ?? (limitGiven ? t.limitAsGiven : t.tenthOfModule);

/** Why a gear is judged as it is, a sentence each. */
export const wearReasons = (wear: Wear): readonly string[] => {
  const words: Readonly<Record<Wear['reasons'][number], () => string>> = {
    teethMissing: () => (wear.missingTeeth === 1 ? t.oneToothMissing : t.teethMissing(wear.missingTeeth)),
    thinned: () => t.thinned(wear.thinningMm.value.toFixed(3), wear.limitMm.toFixed(3), wearLimitSource(wear)),
    wornToPoints: () => t.wornToPoints,
    littleTipLeft: () => t.littleTipLeft(figure(wear.tipThicknessLeftMm, 2)),
    notSharpEnough: () => t.notSharpEnough,
  };
  return wear.reasons.map((reason) => words[reason]());
};

/** Why worked teeth beside fresh ones are judged as they are, a sentence each; lengths as the person reads them. */
export const besideReasons = (wear: WearBeside, length: (mm: number) => string): readonly string[] => {
  const { value, plusMinus } = wear.thinningMm;
  const thinner = t.thinnerThanFresh(length(Math.max(0, value)), length(plusMinus));
  const limit = wear.limitMm === null ? [] : [t.limitIs(length(wear.limitMm), wearLimitSource(wear))];
  const more = { thinned: [], notSharpEnough: [t.notSharpEnough], noLimit: [t.noLimit] } as const;
  return [thinner, ...limit, ...more[wear.reason]];
};

/** Why a seat is judged as it is, a sentence each. */
export const boreReasons = (seat: BoreSeat): readonly string[] => {
  const clearance = figure(seat.clearanceMm?.value ?? 0, 3);
  const words: Readonly<Record<BoreSeat['reasons'][number], () => string>> = {
    measureBoreAndShaft: () => t.measureBoreAndShaft,
    measureSeat: () => t.measureSeat,
    boreWider: () => t.boreWider(clearance),
    hardlyTight: () => t.hardlyTight,
    interference: () => t.interference(clearance),
    turningPlay: () => t.turningPlay(figure(seat.turningPlayDeg?.value ?? 0, 1), seat.limitDeg, seat.limitSource ?? t.ruleOfThumb),
  };
  return seat.reasons.map((reason) => words[reason]());
};

/** What a fit is for. */
export const FIT_USE_WORDS = catalogue({
  looseRunning: 'loose running, dirty or hot places',
  easyRunning: 'easy running, long bearings',
  running: 'running with oil',
  sliding: 'slides by hand, no play to feel',
  locating: 'pushed on by hand, located',
  tapped: 'tapped on, keyed gears',
  driven: 'driven on, seldom taken off',
  pressed: 'pressed on, light loads without a key',
  pressedForGood: 'pressed on for good',
} satisfies Record<FitUse, string>);

const WORKS = catalogue({
  measure: 'measure it',
  lookAt: 'look at it',
  checkWeakestLink: 'another material: check which link becomes the weakest',
  openBore: (mm: string) => `open the bore by ${mm} mm, true to the teeth`,
  bond: (mm: string) => `bond it with retaining compound, gap ${mm} mm on the diameter`,
  sleeve: (mm: string) => `make a sleeve to take up ${mm} mm`,
  narrowFace: (mm: string) => `face ${mm} mm off its width`,
  turnHub: (mm: string) => `turn ${mm} mm off the hub`,
  shortenHub: (mm: string) => `shorten the hub by ${mm} mm`,
  spacer: (mm: string) => `put a ${mm} mm spacer beside the hub`,
  cutLength: (mm: string) => `cut ${mm} mm off its length`,
} satisfies Record<PartWork, string | ((mm: string) => string)>);

/** What makes a part fit that is off by so much. @example workText('openBore', -0.3) // 'open the bore by 0.30 mm, true to the teeth' */
export function workText(work: PartWork, difference = 0): string {
  const words = WORKS[work];
  return typeof words === 'string' ? words : words(figure(difference, 2));
}
