import { t } from '@patient-badger/wording/shared';
import type { LookAdvice } from '@patient-badger/core/machine';
import { minutesText } from './words.ts';

/** What a look costs, what it did before something was opened, and what it would tell as things stand. */
export function priceText(advice: LookAdvice | undefined, minutes: number, closed: number): string {
  if (!advice) return t.tellsNextToNothingAs(minutesText(minutes));
  const { steps, undo, tries } = advice;
  const back = undo.length > 0 ? t.toPutBackFirst(undo.length) : '';
  const trying = tries ? t.tryThis(tries.uses.length > 0 ? t.itUses(tries.uses.join(', ')) : '') : '';
  const open = steps.length > 0 ? t.toOpenFirst(steps.length) : '';
  const before = closed - advice.minutes > 0.05 ? t.whenItWasClosed(minutesText(closed)) : '';
  return `${trying}${minutesText(advice.minutes)}${before}${back}${open}; ${worthText(advice.expectedBits)}`;
}

/** Expected information in a word; a whole bit halves the list. */
export function worthWord(bits: number): string {
  if (bits >= 1) return t.aGreatDeal;
  if (bits >= 0.5) return 'much';
  if (bits >= 0.2) return 'something';
  return 'little';
}

export const worthText = (bits: number): string => t.tells(worthWord(bits));
