import type { LedgerLine, LooseItem } from '@patient-badger/core/machine';
import { clockText } from './clockText.ts';
import { lineText, looseText, tightText } from './looseText.ts';

const item = (more: Partial<LooseItem> = {}): LooseItem => ({
  id: 'screws',
  name: 'Lid screws',
  kind: 'screw',
  count: 4,
  intoPlastic: false,
  renew: false,
  lives: 'Lid',
  ...more,
});
const line = (more: Partial<LedgerLine>): LedgerLine => ({
  step: 'lid',
  stepName: 'Lid off',
  item: item(),
  missingBefore: 0,
  broken: 0,
  lost: 0,
  replaced: 0,
  back: 0,
  onTray: 0,
  wanting: 0,
  ...more,
});

test.each([
  [item(), '4 × Lid screws'],
  [item({ size: 'M5' }), '4 × Lid screws (M5)'],
  [item({ size: 'M5', lengthMm: 16, drive: 'cross-head' }), '4 × Lid screws (M5 × 16 mm, cross-head)'],
])('%#', (given, words) => expect(looseText(given)).toBe(words));

test.each([
  [item(), 'torque from the maker’s sheet'],
  [item({ intoPlastic: true }), 'snug, it goes into plastic'],
  [item({ torque: { value: 9, unit: 'N·m', source: 'maker’s sheet' } }), '9 N·m (maker’s sheet)'],
  [item({ hand: 'left', kind: 'part' }), 'left-hand thread'],
  [item({ kind: 'seal', renew: true }), 'renew it'],
  [item({ kind: 'part' }), ''],
])('tightened: %#', (given, words) => expect(tightText(given)).toBe(words));

test.each([
  [{ onTray: 4 }, '4 on the bench'],
  [{ back: 3, missingBefore: 1 }, '3 of 4 back, 1 missing before we came'],
  [{ back: 3, broken: 1, wanting: 1 }, '3 of 4 back, 1 broken, 1 still wanting'],
  [{ back: 4, lost: 1, replaced: 1 }, '4 of 4 back, 1 lost, 1 replaced'],
  [{}, 'nothing came off'],
])('%j', (given, words) => expect(lineText(line(given))).toBe(words));

test.each([
  [0, '0:00'],
  [59, '0:59'],
  [754, '12:34'],
  [7325, '2:02:05'],
])('%i seconds show as %s', (given, words) => expect(clockText(given)).toBe(words));
