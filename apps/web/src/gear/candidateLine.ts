import { t } from '@patient-badger/wording/gear';
import { formatLength, type LengthUnit } from '@patient-badger/core';

/** A candidate in words. */
export interface CandidateLine {
  readonly key: string;
  readonly title: string;
  readonly probability: number;
  readonly detail: string;
  /** What the caliper should find, were it this one, and how far the readings are off. */
  readonly expected: readonly string[];
}

/** Less wear than this is not worth a word. */
export const WORN_MM = 0.02;
export const signed = (value: number) => `${value >= 0 ? '+' : '−'}${Math.abs(value).toFixed(2)}`;

/** The size as it is written on a drawing. */
export const sizeText = ({ system, size }: { readonly system: 'module' | 'diametralPitch'; readonly size: number }): string =>
  system === 'module' ? t.module(size) : `${size} DP`;

interface ExpectedReading {
  readonly name: string;
  readonly value: number;
  /** Read less expected; undefined where it was not read. */
  readonly residual: number | undefined;
}

/** @example 'Root: 15.50 mm (read −0.04 mm)' */
export function expectation({ name, value, residual }: ExpectedReading, unit: LengthUnit): string {
  return `${name}: ${formatLength(value, unit)}${residual === undefined ? t.notRead : t.readMm(signed(residual))}`;
}

type Figures = Readonly<Record<string, number>>;

/** The expectations of those figures that have a name, in their order. */
export const expectations = (
  names: Readonly<Record<string, string>>,
  figures: { readonly predicted: Figures; readonly residuals: Figures },
  unit: LengthUnit,
) =>
  Object.entries(figures.predicted).flatMap(([key, value]) => {
    const name = names[key];
    return name !== undefined ? [expectation({ name, value, residual: figures.residuals[key] }, unit)] : [];
  });
