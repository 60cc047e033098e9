import { workText } from '@patient-badger/wording/judgements';
import { t } from '@patient-badger/wording/shared';
import type { AttributeFit, PartAttributes } from '@patient-badger/core/parts';

const NAMES: Readonly<Record<string, string>> = {
  type: t.kind,
  starts: t.starts,
  teeth: t.teeth,
  axialModuleMm: t.axialModule,
  normalModuleMm: t.module,
  diametralPitch: t.diametralPitch,
  pressureAngleDeg: t.pressureAngle,
  helixAngleDeg: t.helixAngle,
  leadAngleDeg: t.leadAngle,
  hand: t.hand,
  pitchDiameterMm: t.pitchDiameter,
  tipDiameterMm: t.overTheTips,
  outsideDiameterMm: t.outsideDiameter,
  centreDistanceMm: t.centreDistance,
  boreShape: t.boreShape,
  boreDiameterMm: t.bore,
  dFlatMm: t.flatOfTheD,
  keyWidthMm: t.key,
  splineTeeth: t.splineTeeth,
  faceWidthMm: t.faceWidth,
  hubDiameterMm: t.hubDiameter,
  hubLengthMm: t.hubLength,
  material: t.material,
  mateTeeth: t.teethOfTheMate,
  shaftDiameterMm: t.shaftDiameter,
  widthMm: t.width,
  heightMm: t.height,
  lengthMm: t.length2,
  thicknessMm: t.thickness,
  wireDiameterMm: t.wireDiameter,
  coils: t.coils,
};

const VALUES: Readonly<Record<string, string>> = { wormWheel: t.wormWheel, dFlat: 'D', doubleD: t.doubleD, unit: t.wholeUnit };

export const attributeName = (id: string): string => NAMES[id] ?? id;

/** A number with the unit its field name carries; a text as a word. */
export function attributeValue(id: string, value: number | string): string {
  if (typeof value === 'string') return VALUES[value] ?? value;
  const rounded = String(Math.round(value * 1000) / 1000);
  if (id.endsWith('Mm')) return `${rounded} mm`;
  return id.endsWith('Deg') ? `${rounded}°` : rounded;
}

/** What is wanted, in words. */
export function attributeWords(gear: PartAttributes): readonly (readonly [string, string])[] {
  return Object.entries(gear).flatMap(([id, value]) => {
    if (value === undefined) return [];
    const shown = typeof value === 'object' ? value.value : value;
    const more = typeof value === 'object' ? ` ± ${value.plusMinus.toFixed(2)}` : '';
    return [[attributeName(id), attributeValue(id, shown).replace(/( mm|°)?$/, `${more}$1`)] as const];
  });
}

/** The same in a line. @example { type: 'bevel', teeth: 19, boreDiameterMm: 8, boreShape: 'square' } → '19-tooth bevel, bore 8 mm, square' */
export function attributeLine({ type, teeth, boreShape, ...rest }: PartAttributes): string {
  const kind = type === undefined ? undefined : attributeValue('type', type);
  const head = teeth === undefined ? kind : t.toothed(teeth, kind ?? t.gearWord);
  const shape = boreShape === undefined ? undefined : attributeValue('boreShape', boreShape).toLowerCase();
  const others = attributeWords(rest).map(([name, value]) => `${name.toLowerCase()} ${value}`);
  const bore = others.findIndex((each) => each.startsWith(`${attributeName('boreDiameterMm').toLowerCase()} `));
  if (shape !== undefined) others.splice(bore < 0 ? others.length : bore + 1, 0, bore < 0 ? t.boreOf(shape) : shape);
  return [...(head === undefined ? [] : [head]), ...others].join(', ');
}

/** Less than this is shown as nought. */
const SHOWN = 0.0005;

/** How far the part is off what is wanted, with its sign; empty where nothing of it would be shown. */
export const differenceText = ({ name, difference }: AttributeFit): string =>
  difference === undefined || Math.abs(difference) < SHOWN
    ? ''
    : `${difference > 0 ? '+' : '−'}${attributeValue(name, Math.abs(difference))}`;

/** What came against what was ordered. @example 'Not what was ordered: width 3 mm more' */
export const notAsOrdered = (deciding: string, difference: number | undefined): string =>
  t.notWhatWasOrdered(
    attributeName(deciding).toLowerCase(),
    difference === undefined ? '' : `${attributeValue(deciding, Math.abs(difference))} ${difference > 0 ? t.more : t.less}`,
  );

/** One attribute's verdict as a sentence part. */
export function fitText(fit: AttributeFit): string {
  const { state, work } = fit;
  const off = differenceText(fit);
  switch (state) {
    case 'fits':
      return off ? t.fits(off) : t.fitsInline;
    case 'fitsAfterWork':
      return work ? workText(work, fit.difference) : t.fitsAfterWork;
    case 'doesNotFit':
      return off ? t.doesNotFitWithOff(off) : t.doesNotFit;
    case 'unknown':
      return work ? workText(work) : t.notKnown;
  }
}
