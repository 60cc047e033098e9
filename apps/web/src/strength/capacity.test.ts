import type { Driveline } from '@patient-badger/core/machine';
import { capacityOf, fieldsOf, linkStrength, NO_LINK } from './capacity.ts';

type Joint = Driveline['joints'][number];
const mesh: Joint = { id: 'm', type: 'mesh', a: 'a', b: 'b', teethA: 12, teethB: 40, internal: false };
const pin: Joint = { id: 'p', type: 'seat', a: 'a', b: 'b', by: 'pin' };
const press: Joint = { id: 'q', type: 'seat', a: 'a', b: 'b', by: 'pressFit' };
const key: Joint = { id: 'k', type: 'seat', a: 'a', b: 'b', by: 'key' };

test('a gear bears more in steel than in nylon, and nothing is said before it is measured', () => {
  expect(capacityOf(mesh, NO_LINK)).toBeNull();
  const measured = { ...NO_LINK, moduleMm: '1', faceMm: '8' };
  const steel = capacityOf(mesh, measured) ?? NaN;
  const nylon = capacityOf(mesh, { ...measured, material: 'nylon' }) ?? NaN;
  expect(steel / nylon).toBeCloseTo(370 / 85, 9);
});

test('a pinned plastic seat goes before its pin; a press fit bears by its interference', () => {
  const measured = { ...NO_LINK, pinMm: '6', shaftMm: '20', wallMm: '8' };
  // (d_s + t)·d_p·t·85 MPa
  expect(capacityOf(pin, { ...measured, material: 'nylon' })).toBeCloseTo((28 * 6 * 8 * 85) / 1000, 9);
  const pressed = (interferenceMm: string) =>
    capacityOf(press, { ...NO_LINK, shaftMm: '20', outerMm: '40', lengthMm: '30', interferenceMm });
  expect(pressed('0.04')).toBeCloseTo(2 * (pressed('0.02') ?? NaN), 9);
});

test('what is typed goes before what is worked out, and is all there is for a key', () => {
  expect(capacityOf(mesh, { ...NO_LINK, moduleMm: '1', faceMm: '8', capacity: '3,5' })).toBe(3.5);
  expect([fieldsOf(key), capacityOf(key, NO_LINK), capacityOf(key, { ...NO_LINK, capacity: '12' })]).toEqual([[], null, 12]);
});

test('of a pair it is said which goes first, and from when on a surface only wears', () => {
  const measured = { ...NO_LINK, moduleMm: '1', faceMm: '8' };
  expect(linkStrength(mesh, { ...measured, material: 'nylonMoist', mate: 'steel' })?.pair?.weaker).toBe('gear');
  expect(linkStrength(mesh, { ...measured, material: 'steel', mate: 'nylonMoist' })?.pair?.weaker).toBe('mate');
  expect(linkStrength(mesh, measured)).toMatchObject({ weakestAt: 'foot' });
  expect(linkStrength(mesh, measured)?.pair).toBeUndefined();
  expect(linkStrength(mesh, { ...measured, capacity: '3' })).toEqual({ capacityNm: 3 });
});
