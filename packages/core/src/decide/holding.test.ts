import { findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { draftFactsOf } from '../testing.ts';
import type { Pack } from '../trace/pack.ts';
import { draftOptions } from './draft.ts';
import { seatStrength, type SeatFacts } from './holding.ts';
import type { Remedy } from '../work/remedy.ts';

const DRUMS = findFamily('dash-odometer-cable') as Pack;
const SLIPS = DRUMS.faults.find(({ id }) => id === 'drum-gear-slips') as Pack['faults'][number];
const remedy = (id: string) => SLIPS.remedies.find((each) => each.id === id) as Remedy;
const SEAT = 'cross-drumgear';
/** A soft drum gear of 4 mm on its 3 mm shaft, two hundredths loose. */
const LOOSE: SeatFacts = { shaftMm: 3, boreMm: 3.02, lengthMm: 4, outerMm: 8, material: 'zincAlloy' };
const held = (id: string, seat: SeatFacts) => seatStrength(remedy(id), { [SEAT]: seat });

test('bonded: the sheared area by hand, half of a guide strength', () => {
  // π · 3 · 4 = 37.7 mm², at 5 MPa 188.5 N, on 1.5 mm 0.283 N·m.
  expect(held('gear-bonded', LOOSE)).toMatchObject({ way: 'bond', needNm: 0.08, missing: [] });
  expect(held('gear-bonded', LOOSE)?.holdsNm).toBeCloseTo(0.2827, 3);
});

test('staked: a press fit by two hundredths on a third of the round, as far as it stays elastic, by hand from Lamé', () => {
  // Zinc alloy (85 GPa, 0.25, yields at 228) 8 over 3 on solid steel (206 GPa, 0.3): (73/55 + 0.25)/85000 + 0.7/206000 per MPa and mm.
  const pressure = 0.02 / 3 / ((73 / 55 + 0.25) / 85_000 + 0.7 / 206_000);
  // By Tresca it would be beyond its yield: what it bears is what it bears at the yield.
  const utilisation = (pressure * (73 / 55) + pressure) / 228;
  expect(utilisation).toBeGreaterThan(3);
  const torqueNm = (0.12 * pressure * Math.PI * 3 * 4 * 1.5) / 1000;
  expect(held('gear-staked', LOOSE)?.holdsNm).toBeCloseTo(torqueNm / utilisation / 3, 3);
});

test('too wide a gap, too hard a gear, no wall: nothing is held', () => {
  expect(held('gear-bonded', { ...LOOSE, boreMm: 3.4 })?.holdsNm).toBe(0);
  expect(held('gear-staked', { ...LOOSE, material: 'steel' })?.holdsNm).toBe(0);
  expect(held('gear-staked', { ...LOOSE, boreMm: 3.2 })?.holdsNm).toBe(0);
  expect(held('gear-staked', { ...LOOSE, outerMm: 2.9 })?.holdsNm).toBe(0);
});

test('what was not measured is named, and nothing is said of what it holds', () => {
  expect(held('gear-staked', { boreMm: 3.02 })).toEqual({
    way: 'stake',
    holdsNm: null,
    needNm: 0.08,
    missing: ['shaftMm', 'lengthMm', 'outerMm', 'material'],
  });
  expect(held('gear-bonded', {})?.missing).toEqual(['shaftMm', 'boreMm', 'lengthMm']);
});

test('a wider gear never holds less, whichever way', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 40, noNaN: true }),
      fc.constantFrom('gear-bonded', 'gear-staked', 'gear-soldered'),
      (lengthMm, id) => {
        const of = (length: number) => held(id, { ...LOOSE, lengthMm: length })?.holdsNm ?? NaN;
        expect(of(lengthMm * 1.5)).toBeGreaterThan(of(lengthMm));
      },
    ),
  );
});

test('what would not hold is not offered, and says by how much; what holds says so; what is not measured stays, and asks', () => {
  const drafted = (seats: Readonly<Record<string, SeatFacts>>) => draftOptions(draftFactsOf(DRUMS, [SLIPS.id], { seats }));
  const thin = drafted({ [SEAT]: { ...LOOSE, lengthMm: 0.5 } });
  expect(thin.drafts.map(({ option }) => option)).not.toContain('gear-bonded');
  expect(thin.notOffered).toContainEqual(expect.objectContaining({ why: 'doesNotHold', needNm: 0.08 }));
  const wide = drafted({ [SEAT]: LOOSE });
  expect(wide.drafts.find(({ option }) => option === 'gear-staked')?.facts.holding?.holdsNm).toBeGreaterThan(0.08);
  expect(drafted({}).drafts.find(({ option }) => option === 'gear-staked')?.facts.holding?.missing).toContain('shaftMm');
});
