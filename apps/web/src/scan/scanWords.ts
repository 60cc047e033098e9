import { t } from '@patient-badger/wording/scan';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import type { ScanRead } from '@patient-badger/core/gear';
import type { PhotoReading } from './readOnPhoto.ts';

type FlawKind = ScanRead['flaws'][number]['kind'];

/** An angle as the hour on a clock face. @example clockAt(90) // '3 o’clock' */
export function clockAt(angleDeg: number): string {
  const halves = Math.round(angleDeg / 15) % 24;
  const hour = Math.floor(halves / 2) || 12;
  return halves % 2 === 0 ? t.oclock(hour) : t.halfPast(hour);
}

/** A length and its ± as the person reads lengths. */
export const withPlusMinus = ({ value, plusMinus }: PhotoReading, unit: LengthUnit) =>
  [formatLength(value, unit), formatLength(plusMinus, unit)] as const;

/** Whether what should lie beside the gear was found; nothing where nothing was said to. */
export const besideLines = (isFound: boolean | undefined): readonly string[] =>
  isFound === undefined ? [] : [isFound ? t.besideFound : t.besideNotFound];

/** From a camera that leans farther, teeth hide each other: one that seems missing may be there. */
const MOST_LEAN = 25;

/** What was found, most important first. */
export function scanLines(
  { teeth, teethPresent, flaws, tipDiameterMm, rootDiameterMm, referenceFound, tiltDeg, flanks }: ScanRead,
  unit: LengthUnit,
): readonly string[] {
  const gone = teeth - teethPresent;
  const of = (kind: FlawKind) => flaws.filter((each) => each.kind === kind);
  const at = (kind: FlawKind) => [...new Set(of(kind).map(({ angleDeg }) => clockAt(angleDeg)))].join(', ');
  return [
    ...(gone > 0 ? [(tiltDeg > MOST_LEAN ? t.maybeMissing : t.missingAt)(gone, at('missing'))] : [t.noneMissing]),
    ...(of('short').length > 0 ? [t.shortAt(of('short').length, at('short'))] : []),
    ...(of('odd').length > 0 ? [t.widerNarrowerOrOutOf(of('odd').length, at('odd'))] : []),
    ...(flanks ? [flankLine(flanks)] : []),
    ...(tipDiameterMm ? [t.overTheTips(...withPlusMinus(tipDiameterMm, unit))] : []),
    ...(rootDiameterMm ? [t.root(...withPlusMinus(rootDiameterMm, unit))] : []),
    ...besideLines(referenceFound),
    ...(tiltDeg > 8 ? [t.theCameraLeanedByThat(Math.round(tiltDeg))] : []),
  ];
}

/** Which side of the teeth has worked. */
const flankLine = ({ wornMore, share }: NonNullable<ScanRead['flanks']>): string =>
  wornMore === null
    ? t.flanksAlike(Math.ceil(300 * share.plusMinus))
    : t.flanksWornMore(t[wornMore], Math.max(1, Math.floor(100 * (share.value - share.plusMinus))));

/** How sure, and by which ways of counting. */
export function sureness({ confidence, counts, corrected }: ScanRead): string {
  if (corrected.includes('teeth')) return t.countedByYou;
  const ways = [
    ['outline', counts.outline],
    [t.toothByTooth, counts.edges],
    [t.lightAndDark, counts.shading],
  ] as const;
  const said = ways.map(([name, count]) => `${name} ${count ?? 'none'}`).join(', ');
  const isSure = confidence > 0.85;
  const counted = t.threeWaysOfCounting(isSure ? t.sure : t.fairlySureCountAFew, said);
  return isSure ? counted : `${counted} ${t.orSomethingCutLikeOne}`;
}
