import { offText, readCounts } from './ratioWords.ts';

test.each([
  [2.04, '2.0 % high'],
  [-0.31, '0.3 % low'],
  [0.01, 'true'],
])('%d is %s', (percent, words) => expect(offText(percent)).toBe(words));

test.each<[string, readonly number[] | null]>([
  ['7, 8', [7, 8]],
  ['16-19', [16, 17, 18, 19]],
  ['7 16–18 7', [7, 16, 17, 18]],
  ['', null],
  ['seven', null],
  ['19-16', null],
])('%j is read as %j', (text, list) => expect(readCounts(text)).toEqual(list));
