import { t } from '@patient-badger/wording/shared';
import { trueValue, type InstrumentReading } from '@patient-badger/core/gear';

const UNITS: Readonly<Record<InstrumentReading['unit'], string>> = {
  mm: ' mm',
  in: ' in',
  deg: '°',
  turns: t.turnsUnit,
  percent: ' %',
  codes: '',
  teeth: t.teethUnit,
  'N·m': ' N·m',
  min: ' min',
  'km/h': ' km/h',
};

export const unitText = (unit: InstrumentReading['unit']) => UNITS[unit].trim();

/** A figure with its unit, as many places as the instrument is worth. */
export function figureText(value: number, unit: InstrumentReading['unit'], plusMinus = 0): string {
  if (unit === 'codes') return value === 0 ? t.noCode : t.code(value);
  const places = plusMinus > 0 ? Math.min(3, Math.max(0, Math.ceil(-Math.log10(plusMinus)))) : 2;
  // Less than the instrument can tell from nought is nought.
  const shown = Math.abs(value) < 2 * plusMinus ? 0 : Number(value.toFixed(places));
  return unit === 'turns' ? t.turnsOf(shown) : `${shown}${UNITS[unit]}`;
}

/** A reading in a few words, the display's error at rest taken off. */
export function readingText(reading: InstrumentReading): string {
  const { unit, plusMinus, beside } = reading;
  const first = figureText(trueValue(reading), unit, plusMinus);
  return beside === undefined ? first : t.and(first, figureText(beside, unit, plusMinus));
}
