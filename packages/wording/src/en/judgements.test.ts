import { createOperations } from '@patient-badger/core';
import { familyIds, findFamily } from '@patient-badger/knowledge';
import { besideReasons, boreReasons, wearReasons, workText } from './judgements.ts';
import { methodSentence } from './readings.ts';

const operations = createOperations({ find: findFamily, ids: familyIds });
const gear = { teeth: 25, normalModuleMm: 1 };
const wearOf = (spanMm: number, more: object = {}) =>
  operations.run('gear.wear', { gear, measured: { spans: [{ teeth: 3, spanMm: { value: spanMm, plusMinus: 0.005 } }] }, ...more });

test('a worn gear says by how much, and whose limit that is', () => {
  expect(wearReasons(wearOf(7.6))[0]).toMatch(
    /^0\.1\d\d mm thinner than new; the limit is 0\.100 mm \(rule of thumb: a tenth of the module\)\.$/,
  );
  expect(wearReasons(wearOf(7.6, { limits: { thinningMm: 0.05, source: 'the sheet' } }))[0]).toMatch(/0\.050 mm \(the sheet\)\.$/);
  expect(wearReasons(wearOf(7.73, { missingTeeth: 1 }))).toEqual(['One tooth is missing.']);
  expect(wearReasons(wearOf(7.73, { missingTeeth: 3 }))).toEqual(['3 teeth are missing.']);
});

test('worked teeth beside fresh ones say by how much, and that nobody said what they may lose', () => {
  const beside = (more: object) =>
    besideReasons(
      operations.run('gear.wearBeside', { workedMm: { value: 1.5, plusMinus: 0.02 }, freshMm: { value: 1.9, plusMinus: 0.02 }, ...more }),
      (mm) => `${mm.toFixed(2)} mm`,
    );
  expect(beside({})).toEqual(['0.40 mm ± 0.03 mm thinner than where it has not worked.', expect.stringMatching(/^Nobody has said/)]);
  expect(beside({ normalModuleMm: 2 })[1]).toBe('The limit is 0.20 mm (rule of thumb: a tenth of the module).');
});

test('a seat says what holds it, or what is to be measured', () => {
  const seat = (boreMm?: number) =>
    boreReasons(
      operations.run('fit.bore', {
        shape: 'round',
        bore: boreMm === undefined ? {} : { diameterMm: { value: boreMm, plusMinus: 0.005 } },
        shaft: { diameterMm: { value: 8, plusMinus: 0.005 } },
      }),
    );
  expect(seat(8.1)[0]).toMatch(/^The bore is 0\.100 mm wider/);
  expect(seat(7.97)).toEqual(['0.030 mm of interference.']);
  expect(seat()).toEqual(['Measure the bore and the shaft.']);
});

test('work is said with how much, where it is by so much', () => {
  expect(workText('openBore', -0.5)).toBe('open the bore by 0.50 mm, true to the teeth');
  expect(workText('lookAt')).toBe('look at it');
});

test('how a reading is taken says over how many', () => {
  expect(methodSentence({ how: 'spanOverTeeth', over: 4 })).toMatch(/over 4 teeth/);
  expect(methodSentence({ how: 'overTips' })).toMatch(/over the tips/);
});
