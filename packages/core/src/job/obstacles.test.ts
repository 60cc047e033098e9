import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import { CLOSING_CASES } from './closingCases.ts';
import { jobOf } from './jobOf.ts';
import { checkObstacle, closingObstacles, isChangeable, isMakeable, mergeObstacle } from './obstacles.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const steering = findFamily('sector-steering') as Pack;
const codes = (...given: Parameters<typeof closingObstacles>) => closingObstacles(...given).map(({ code }) => code);

test.each(CLOSING_CASES)('closing a saw: $name', ({ payloads, closing, code }) => {
  expect(codes(saw, jobOf(payloads.map((payload) => ['tobin', payload])), closing)).toEqual(code === undefined ? [] : [code]);
});

test('where somebody can be hurt it is looked over first, whoever closes it and whatever the note says', () => {
  const closing = { outcome: 'returned', note: 'as it came', isApprentice: false, isChecked: false } as const;
  expect(codes(steering, jobOf([]), closing)).toEqual(['secondCheckMissing']);
  expect(codes(steering, jobOf([]), { ...closing, isChecked: true })).toEqual([]);
});

test('obstacles name what is open', () => {
  const [unproved, unset] = closingObstacles(saw, jobOf([]), { outcome: 'repaired', isApprentice: false, isChecked: false });
  expect(unproved).toEqual({ code: 'unproved' });
  expect(unset).toEqual({ code: 'unset', settings: saw.settings.map(({ name }) => name) });
});

describe('who may sign a second check', () => {
  const worked = jobOf([['tobin', { kind: 'closingDone', step: 'cover-on' }]]);
  const by = { kind: 'secondChecked', by: 'imke', isApprentice: false, isFresh: (): boolean => true, others: [] } as const;
  test.each([
    ['somebody who had no hand in it', by, null],
    ['an apprentice', { ...by, isApprentice: true }, 'notForApprentices'],
    ['who worked on it', { ...by, by: 'tobin' }, 'handInIt'],
    ['who came while it stood open', { ...by, isFresh: (): boolean => false }, 'notVouched'],
    ['from outside, where nobody else is', { ...by, kind: 'outsideChecked', by: 'tobin', others: ['tobin'] }, null],
    ['from outside, where somebody else could', { ...by, kind: 'outsideChecked', by: 'tobin', others: ['imke'] }, 'notAlone'],
  ] as const)('%s', (_, checker, obstacle) => expect(checkObstacle(worked, checker)).toBe(obstacle));
});

test('two records become one of the same family, neither merged before, into one that is in use', () => {
  const one = { id: 'a', family: 'saw-oil-pump', retired: false, mergedInto: null };
  const other = { ...one, id: 'b' };
  expect(mergeObstacle(one, other)).toBeNull();
  expect(mergeObstacle({ ...one, retired: true }, other)).toBeNull();
  expect(mergeObstacle(one, one)).toBe('itself');
  expect(mergeObstacle(one, { ...other, family: 'auger-gearbox' })).toBe('otherFamily');
  expect(mergeObstacle({ ...one, mergedInto: 'c' }, other)).toBe('merged');
  expect(mergeObstacle(one, { ...other, mergedInto: 'c' })).toBe('merged');
  expect(mergeObstacle(one, { ...other, retired: true })).toBe('retired');
  expect([isChangeable(one), isChangeable({ mergedInto: 'c' })]).toEqual([true, false]);
});

test('nothing is made or saved for a chain that can hurt somebody', () => {
  expect([isMakeable(saw), isMakeable(steering)]).toEqual([true, false]);
});
