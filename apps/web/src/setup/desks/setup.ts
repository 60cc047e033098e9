import { textOf } from '../../desk/deskInput.ts';
import type { DeskContext, DeskInput } from '../../desk/DeskSpec.ts';

/** What a desk of setting up writes: how it was set, and whose figure that is. */
export interface Setup {
  readonly figures: string;
  readonly source?: string;
}

/** How it was set, with the source where one was typed. */
export const setup = (typed: DeskInput, figures: string): Setup => {
  const source = textOf(typed, 'source');
  return { figures, ...(source && { source }) };
};

/** Whose limit it is; one that somebody typed without saying so is typed. */
export const sourceOf = (typed: DeskInput): string => textOf(typed, 'source') || 'typed';

export const isNumber = (...figures: readonly number[]): boolean => figures.every((figure) => Number.isFinite(figure));

/** The limits that the family gives, as they would be typed. */
export const limitsOf = ({ row }: DeskContext): Readonly<Record<string, string>> => ({
  ...(row?.wanted?.min !== undefined && { least: String(row.wanted.min) }),
  ...(row?.wanted?.max !== undefined && { most: String(row.wanted.max) }),
  ...(row?.wanted && { source: row.wanted.source }),
});
