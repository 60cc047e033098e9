import { t as saving } from '@patient-badger/wording/saving';
import { lengthUnit, torqueUnit } from '../preferences/preferences.ts';
import { FIELDS, NO_SAVING, savingOf, WAYS, type TypedSaving } from './ways.ts';

const typed: TypedSaving = {
  ...NO_SAVING,
  shaftMm: '4',
  boreMm: '4.03',
  outerMm: '8',
  lengthMm: '6',
  rootMm: '9',
  gapMm: '0.05',
  strengthMPa: '20',
  sheetMinMm: '0.02',
  sheetMaxMm: '0.12',
};
const of = (change: Partial<TypedSaving>) => {
  const found = savingOf({ ...typed, ...change });
  if (typeof found === 'string') throw new Error(found);
  return found;
};

test('a loose small gear, four schools compared: each says what it carries, and what to mind', () => {
  const bonded = of({ way: 'bond' });
  // π·4·6 mm², 20 MPa half counted, at 2 mm.
  expect(bonded.torqueNm).toBeCloseTo((Math.PI * 24 * 10 * 2) / 1000, 9);
  expect(bonded.warnings).toEqual([]);
  const staked = of({ way: 'stake' });
  expect(staked.lines[0]).toBe(saving.closeTheBoreByTo('0.050 mm', '3.980 mm'));
  expect(staked.torqueNm).toBeGreaterThan(0);
  expect(staked.warnings.join(' ')).toMatch(/unevenly/);
  expect(of({ way: 'boreOut', gapMm: '0.2' }).lines.join('; ')).toMatch(/go 4\.190 mm, no-go 4\.210 mm/);
  expect(of({ way: 'solder' }).warnings).toEqual([saving.thereIsOneChanceOnly]);
  expect(savingOf({ ...typed, way: 'press' })).toMatch(/wider than the shaft/);
});

test('a gap that the sheet does not allow, and no sheet at all, are told', () => {
  expect(of({ way: 'bond', boreMm: '4.3' }).warnings.join(' ')).toMatch(/wider than the sheet/);
  expect(of({ way: 'bond', sheetMinMm: '' }).warnings.join(' ')).toMatch(/No gap off a sheet/);
});

test('a plastic hub is told to creep and not to be staked', () => {
  expect(of({ way: 'press', boreMm: '3.95', material: 'nylon' }).warnings.join(' ')).toMatch(/creeps/);
  expect(of({ way: 'stake', material: 'nylon' }).warnings.join(' ')).toMatch(/too springy/);
});

test('before its measures are there no way says anything', () => {
  for (const way of WAYS) {
    const first = FIELDS[way][0] ?? 'shaftMm';
    expect(savingOf({ ...typed, way, [first]: '' })).toBe(saving.fillInTheMeasuresAbove);
  }
});

test('what a way comes to is said in the units of the person', () => {
  const bonded = of({ way: 'bond' });
  lengthUnit.set('inch');
  torqueUnit.set('ft·lb');
  // 1.508 N·m are 1.112 ft·lb (1 ft·lb is 1.355818 N·m), 0.03 mm are 0.0012 in.
  const inches = of({ way: 'bond' });
  lengthUnit.set('mm');
  torqueUnit.set('N·m');
  expect(bonded.lines).toEqual([saving.gap('0.030 mm'), saving.carriesNAlongIt('1.51 N·m', 754)]);
  expect(inches.lines).toEqual([saving.gap('0.0012 in'), saving.carriesNAlongIt('1.11 ft·lb', 754)]);
});
