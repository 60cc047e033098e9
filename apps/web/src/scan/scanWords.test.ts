import { t as scan } from '@patient-badger/wording/scan';
import type { ScanRead } from '@patient-badger/core/gear';
import { clockAt, scanLines, sureness } from './scanWords.ts';

const found: ScanRead = {
  read: true,
  teeth: 24,
  teethPresent: 22,
  confidence: 0.95,
  centre: { xPx: 0, yPx: 0 },
  tipRadiusPx: 100,
  rootRadiusPx: 90,
  rim: { longPx: 100, shortPx: 99, axisDeg: 0 },
  tiltDeg: 3,
  flaws: [
    { kind: 'missing', angleDeg: 91, xPx: 0, yPx: 0 },
    { kind: 'missing', angleDeg: 104, xPx: 0, yPx: 0 },
    { kind: 'short', angleDeg: 1, xPx: 0, yPx: 0 },
  ],
  counts: { outline: 24, edges: 24, shading: null },
  corrected: [],
};

test.each([
  [0, '12 o’clock'],
  [90, '3 o’clock'],
  [106, 'half past 3'],
  [359, '12 o’clock'],
])('%i° is at %s', (angle, words) => expect(clockAt(angle)).toBe(words));

test('says what is missing and where, and the size where a length is known', () => {
  expect(scanLines(found, 'mm')).toEqual(['2 missing, at 3 o’clock, half past 3', scan.shortAt(1, '12 o’clock')]);
  expect(scanLines({ ...found, tipDiameterMm: { value: 64.06, plusMinus: 0.5 } }, 'mm').at(-1)).toMatch(
    scan.overTheTips('64.06 mm', '0.50 mm'),
  );
});

test('which flanks are worn more is said with what is sure of it; alike is alike within what can be seen', () => {
  const of = (wornMore: 'clockwise' | null, value: number) =>
    scanLines({ ...found, flanks: { wornMore, share: { value, plusMinus: 0.02 } } }, 'mm').at(-1);
  expect(of('clockwise', 0.15)).toBe(scan.flanksWornMore(scan.clockwise, 13));
  expect(of(null, 0.01)).toBe(scan.flanksAlike(6));
});

test('a count put right by hand says whose it is', () => {
  expect(sureness(found)).toBe('Sure. Three ways of counting: outline 24, tooth by tooth 24, light and dark none.');
  expect(sureness({ ...found, corrected: ['teeth'] })).toBe(scan.countedByYou);
});
