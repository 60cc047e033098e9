import { typedNumbers } from '../design/typedNumber.ts';
import type { DeskInput } from './DeskSpec.ts';

/** What was typed, and each of it as a figure. */
export function deskInput(texts: Readonly<Record<string, string>>): DeskInput {
  const names = Object.keys(texts);
  const figures = typedNumbers(...Object.values(texts));
  return { texts, figures: Object.fromEntries(names.map((name, i) => [name, figures[i] ?? NaN])) };
}

/** What was typed in a field, without the spaces around it. */
export const textOf = ({ texts }: DeskInput, name: string): string => (texts[name] ?? '').trim();
