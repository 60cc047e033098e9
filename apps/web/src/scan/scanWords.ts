import { formatLength, type LengthUnit, type ScanRead } from '@patient-badger/core';

type FlawKind = ScanRead['flaws'][number]['kind'];

/** An angle as the hour on a clock face. @example clockAt(90) // '3 o’clock' */
export function clockAt(angleDeg: number): string {
  const halves = Math.round(angleDeg / 15) % 24;
  const hour = Math.floor(halves / 2) || 12;
  return halves % 2 === 0 ? `${hour} o’clock` : `half past ${hour}`;
}

/** What was found, most important first. */
export function scanLines(
  { teeth, teethPresent, flaws, tipDiameterMm, rootDiameterMm, tiltDeg }: ScanRead,
  unit: LengthUnit,
): readonly string[] {
  const gone = teeth - teethPresent;
  const of = (kind: FlawKind) => flaws.filter((each) => each.kind === kind);
  const at = (kind: FlawKind) => [...new Set(of(kind).map(({ angleDeg }) => clockAt(angleDeg)))].join(', ');
  return [
    ...(gone > 0 ? [`${gone} missing, at ${at('missing')}`] : ['None missing']),
    ...(of('short').length > 0 ? [`${of('short').length} short, at ${at('short')}`] : []),
    ...(of('odd').length > 0 ? [`${of('odd').length} wider, narrower or out of step, at ${at('odd')}: worn, bent, or dirt`] : []),
    ...(tipDiameterMm ? [`Over the tips ${formatLength(tipDiameterMm.value, unit)} ± ${formatLength(tipDiameterMm.plusMinus, unit)}`] : []),
    ...(rootDiameterMm ? [`Root ${formatLength(rootDiameterMm.value, unit)} ± ${formatLength(rootDiameterMm.plusMinus, unit)}`] : []),
    ...(tiltDeg > 8 ? [`The camera leaned by ${Math.round(tiltDeg)}°; that is allowed for.`] : []),
  ];
}

/** How sure, and by which ways of counting. */
export function sureness({ confidence, counts, corrected }: ScanRead): string {
  if (corrected.includes('teeth')) return 'Counted by you.';
  const ways = [
    ['outline', counts.outline],
    ['tooth by tooth', counts.edges],
    ['light and dark', counts.shading],
  ] as const;
  const said = ways.map(([name, count]) => `${name} ${count ?? 'none'}`).join(', ');
  return `${confidence > 0.85 ? 'Sure' : 'Fairly sure; count a few by eye'}. Three ways of counting: ${said}.`;
}
