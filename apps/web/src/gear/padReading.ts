import { t } from '@patient-badger/wording/gear';
import { INSTRUMENTS, LENGTH_UNITS, toMm, type InstrumentId, type LengthUnit } from '@patient-badger/core';
import type { QuantityWords } from './QuantityWords.ts';

type Kind = QuantityWords['kind'];

/** Nothing on this bench is longer. */
const LARGEST_MM = 400;

export const LENGTH_TOOLS = ['digitalCaliper', 'plasticCaliper', 'micrometer', 'steelRule'] as const;

/** What it is measured with: the chosen caliper for lengths, else what there is. */
export function toolFor(kind: Kind, chosen: InstrumentId): { id: string; plusMinus: number } {
  if (kind === 'angle') return { id: 'protractor', plusMinus: INSTRUMENTS.protractor.plusMinus };
  if (kind === 'count') return { id: 'counted', plusMinus: 0 };
  const id = LENGTH_TOOLS.find((each) => each === chosen) ?? 'digitalCaliper';
  return { id, plusMinus: INSTRUMENTS[id].plusMinus };
}

/** A reading as it was entered, taken apart: what was typed, and in which unit where it was a length. @example enteredBefore('11/16 in') // { typed: '11/16', unit: 'inch' } */
export function enteredBefore(entered: string): { readonly typed: string; readonly unit: LengthUnit | null } {
  const [, typed = '', unit = ''] = /^([\d./ ]*?)\s*(mm|in|thou|°)?$/.exec(entered) ?? [];
  return { typed, unit: unit === 'in' ? 'inch' : (LENGTH_UNITS.find((known) => known === unit) ?? null) };
}

interface PadInput {
  readonly typed: string;
  /** What it reads as; null where it is no number. */
  readonly value: number | null;
  readonly unit: LengthUnit;
}

/** Why a number cannot be a reading of this kind; null where it can. */
export function whatIsWrong({ typed, value, unit }: PadInput, { kind, within }: Pick<QuantityWords, 'kind' | 'within'>): string | null {
  if (value === null) return null;
  if (kind === 'length' && unit !== 'inch' && typed.includes('/')) return t.fractionsAreInchesPressIn;
  if (!(value > 0)) return t.thatMustBeMoreThan;
  if (kind === 'length' && toMm(value, unit) > LARGEST_MM) return t.thatWouldBeMIs((toMm(value, unit) / 1000).toFixed(2));
  const whole = kind !== 'count' || Number.isInteger(value);
  if (within && (!whole || value < within.least || value > within.most)) return within.else;
  return null;
}
