import { fit } from './fit.ts';
import { nearMisses, workBetween } from './nearMisses.ts';
import { missingForOrder, orderedAs } from './orderedAs.ts';
import { receive } from './receive.ts';
import type { PartAttributes } from './schema.ts';
import { GEAR_TYPES } from './schema.ts';

const PINION: PartAttributes = {
  type: 'spur',
  teeth: 11,
  normalModuleMm: 3,
  pressureAngleDeg: 20,
  boreShape: 'round',
  boreDiameterMm: { value: 12.02, plusMinus: 0.03 },
  faceWidthMm: { value: 10, plusMinus: 0.03 },
};

test('a pinion that is known can be ordered from anybody: each cut figure with how far it may be off, counts and standard sizes without', () => {
  expect(missingForOrder(PINION)).toEqual([]);
  expect(orderedAs(PINION)).toEqual(
    expect.arrayContaining([
      { name: 'teeth', value: 11 },
      { name: 'normalModuleMm', value: 3 },
      { name: 'boreDiameterMm', value: 12.02, allowed: 0.08 },
      { name: 'faceWidthMm', value: 10, allowed: 0.35 },
    ]),
  );
});

test('what decides and is not said is named, the first to ask for first; a size by any of its names is a size', () => {
  const { boreDiameterMm: _, faceWidthMm: __, ...bare } = PINION;
  expect(missingForOrder(bare)).toEqual(['faceWidthMm', 'boreDiameterMm']);
  expect(missingForOrder({ ...PINION, type: 'helical' })).toEqual(['helixAngleDeg', 'hand']);
  const { normalModuleMm: ___, ...other } = PINION;
  expect(missingForOrder({ ...other, diametralPitch: 8 })).toEqual([]);
  expect(missingForOrder(other)).toEqual(['normalModuleMm']);
  expect(missingForOrder({ teeth: 11 })).toEqual(['type']);
});

test.each(GEAR_TYPES)('a %s of which nothing is known cannot be ordered', (type) => {
  expect(missingForOrder({ type }).length).toBeGreaterThan(2);
});

test('the figures of the order are those by which what comes is judged: what just passes is taken, what is just beyond is not', () => {
  for (const { name, value, allowed } of orderedAs(PINION)) {
    if (allowed === undefined) continue;
    const came = (by: number) => receive({ ordered: PINION, arrived: { ...PINION, [name]: (value as number) + by } });
    expect(came(allowed * 0.99).verdict).toBe('accept');
    expect(came(allowed * 3).verdict).toBe('refuse');
    expect(came(allowed * 3).deciding).toBe(name);
  }
});

const judged = (part: PartAttributes) => ({ part, fit: fit({ wanted: PINION, part }) });

test('near misses: the least work first, and never one whose teeth, size or angle are others', () => {
  const wide = judged({ ...PINION, faceWidthMm: 14 });
  const smallBore = judged({ ...PINION, boreDiameterMm: 8 });
  const both = judged({ ...PINION, boreDiameterMm: 8, faceWidthMm: 14 });
  const hex = judged({ ...PINION, boreShape: 'hex' });
  const tooth = judged({ ...PINION, teeth: 12 });
  const inch = judged({ ...PINION, normalModuleMm: 3.175 });
  expect(nearMisses([tooth, both, smallBore, inch, hex, wide])).toEqual([wide, hex, smallBore, both]);
  expect(workBetween(judged(PINION).fit)).toBe(0);
  expect(workBetween(tooth.fit)).toBeNull();
});
