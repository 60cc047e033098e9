import { type LookAdvice } from '@patient-badger/core';
import { minutesText } from './words.ts';

/** What a look costs, what it did before something was opened, and what it would tell as things stand. */
export function priceText(advice: LookAdvice | undefined, minutes: number, closed: number): string {
  if (!advice) return `${minutesText(minutes)}, tells next to nothing as things stand`;
  const { steps, undo, tries } = advice;
  const back = undo.length > 0 ? `, ${undo.length} ${undo.length === 1 ? 'step' : 'steps'} to put back first` : '';
  const trying = tries ? `try this${tries.uses.length > 0 ? `, it uses ${tries.uses.join(', ')}` : ''}: ` : '';
  const open = steps.length > 0 ? `, ${steps.length} ${steps.length === 1 ? 'step' : 'steps'} to open first` : '';
  const before = closed - advice.minutes > 0.05 ? ` (${minutesText(closed)} when it was closed)` : '';
  return `${trying}${minutesText(advice.minutes)}${before}${back}${open}; ${worthText(advice.expectedBits)}`;
}

/** Expected information in a word; a whole bit halves the list. */
export function worthWord(bits: number): string {
  if (bits >= 1) return 'a great deal';
  if (bits >= 0.5) return 'much';
  if (bits >= 0.2) return 'something';
  return 'little';
}

export const worthText = (bits: number): string => `tells ${worthWord(bits)}`;
