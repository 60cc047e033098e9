import { t } from '@patient-badger/wording/shared';

/** How far off a speedometer reads. @example offText(2.04) // '2.0 % high' */
export function offText(percent: number): string {
  const shown = Math.abs(percent).toFixed(1);
  if (shown === '0.0') return t.readsTrue;
  return percent > 0 ? t.readsHigh(shown) : t.readsLow(shown);
}

/** Whole numbers as people list them: single ones and runs. @example readCounts('7, 8 16-19') // [7, 8, 16, 17, 18, 19] */
export function readCounts(text: string): readonly number[] | null {
  const parts = text.split(/[\s,;]+/).filter(Boolean);
  const list = parts.flatMap((part) => {
    const [, from, , to] = /^(\d{1,4})((?:-|–|to)(\d{1,4}))?$/.exec(part) ?? [];
    if (!from) return [NaN];
    const [low, high] = [Number(from), Number(to ?? from)];
    return high < low || high - low > 300 ? [NaN] : Array.from({ length: high - low + 1 }, (_, i) => low + i);
  });
  return list.length === 0 || list.some((each) => !(each > 0)) ? null : [...new Set(list)];
}
