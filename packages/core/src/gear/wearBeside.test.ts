import fc from 'fast-check';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { createOperations } from '../operations.ts';
import { findFamily, familyIds } from '@patient-badger/knowledge';
import { wearBesideQuestion } from './wearBeside.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });
const m = (value: number, plusMinus = 0.02) => ({ value, plusMinus });
const judge = (workedMm: number, freshMm: number, more: object = {}) =>
  operations.run('gear.wearBeside', { workedMm: m(workedMm), freshMm: m(freshMm), ...more });

// A tenth of module 2 is 0.2 mm, six tenths of that 0.12; two readings of ± 0.02 are ± 0.028 apart.
test.each([
  [1.64, 1.69, 'good', 'thinned'],
  [1.55, 1.69, 'watch', 'thinned'],
  [1.48, 1.69, 'replace', 'thinned'],
] as const)('worked %d beside fresh %d of module 2 is %s', (worked, fresh, verdict, reason) => {
  const found = judge(worked, fresh, { normalModuleMm: 2 });
  expect(found).toMatchObject({ verdict, reason, limitMm: 0.2, limitGiven: false });
  expect(found.thinningMm.value).toBeCloseTo(fresh - worked, 9);
  expect(found.thinningMm.plusMinus).toBeCloseTo(0.0283, 4);
});

test('a reading that reaches over the limit is not sharp enough to be good; a thread without a limit is not judged', () => {
  const rough = { workedMm: m(1.6, 0.06), freshMm: m(1.66, 0.06), normalModuleMm: 2 };
  expect(operations.run('gear.wearBeside', rough)).toMatchObject({ verdict: 'watch', reason: 'notSharpEnough' });
  expect(judge(1.5, 1.9)).toMatchObject({ verdict: null, reason: 'noLimit', limitMm: null });
  expect(judge(1.5, 1.9, { limits: { thinningMm: 0.3, source: 'sheet 4' } })).toMatchObject({ verdict: 'replace', limitSource: 'sheet 4' });
});

test('teeth do not grow thicker, beyond what both readings leave open', () => {
  expect(judge(1.7, 1.65, { normalModuleMm: 2 })).toMatchObject({ verdict: 'good' });
  expect(() => judge(1.8, 1.65)).toThrow(CoreFailure);
});

test('law: thinner is never judged better', () => {
  const ORDER = ['good', 'watch', 'replace'];
  const width = fc.double({ min: 1, max: 2, noNaN: true });
  fc.assert(
    fc.property(width, width, (p, q) => {
      const [thin, thick] = [Math.min(p, q), Math.max(p, q)];
      const rank = (worked: number) => ORDER.indexOf(judge(worked, 2, { normalModuleMm: 2 }).verdict ?? '');
      expect(rank(thin)).toBeGreaterThanOrEqual(rank(thick));
    }),
  );
});

test('it is asked once a worked tip and a fresh one were read, with the limit that somebody noted', () => {
  const reading = (value: number) => [{ entryId: 'e', reading: m(value), instrument: 'digitalCaliper', entered: '' }];
  expect(wearBesideQuestion({ readings: { tipWidthMm: reading(1.6) } }, 2)).toBeNull();
  const both = { readings: { tipWidthMm: reading(1.6), freshTipWidthMm: reading(1.7) }, limit: { thinningMm: 0.1, source: 'x' } };
  expect(wearBesideQuestion(both, 2)).toEqual({
    workedMm: m(1.6),
    freshMm: m(1.7),
    normalModuleMm: 2,
    limits: { thinningMm: 0.1, source: 'x' },
  });
});
