import type { PracticeResult } from './kept.ts';
import { progressOf } from './progress.ts';

const done = (family: string, minutes: number, more: Partial<PracticeResult> = {}): PracticeResult => ({
  by: 'tobin',
  family,
  right: true,
  minutes,
  engineMinutes: 10,
  ...more,
});

test('each person sees their own, the family practised last first', () => {
  const list = [done('saw', 30), done('gearbox', 20, { right: false }), done('saw', 20), done('saw', 5, { by: 'imke' })];
  expect(progressOf(list, 'tobin')).toEqual([
    { family: 'saw', count: 2, right: 2, times: undefined },
    { family: 'gearbox', count: 1, right: 0, times: undefined },
  ]);
  expect(progressOf(list, 'imke').map(({ count }) => count)).toEqual([1]);
  expect(progressOf(list, null)).toEqual([]);
});

test('from six on the first three stand beside the last three, in minutes against the advice’s', () => {
  const list = [40, 30, 20, 99, 12, 10, 8].map((minutes) => done('saw', minutes));
  expect(progressOf(list, 'tobin')[0]?.times).toEqual({ first: 3, last: 1 });
  expect(progressOf(list.slice(0, 5), 'tobin')[0]?.times).toBeUndefined();
});

test('where the advice needed no look at all there is still a figure', () => {
  const list = Array.from({ length: 6 }, () => done('saw', 2, { engineMinutes: 0 }));
  expect(progressOf(list, 'tobin')[0]?.times?.last).toBe(12);
});
