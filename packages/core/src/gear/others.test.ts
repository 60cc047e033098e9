import fc from 'fast-check';
import { gaussian, seeded } from '../testing.ts';
import { freshArcs } from './arcs.ts';
import { coneAngles } from './bevel/dimensions.ts';
import { bevelIdentifyInput, identifyBevel } from './bevel/identify.ts';
import { compareGears } from './compare.ts';
import type { MeasuredGear } from './measuredGear.ts';
import { identifyRack, rackIdentifyInput } from './rack/identify.ts';
import { rack } from './rack/kind.ts';
import { identifyScrew, screwIdentifyInput } from './screw/identify.ts';
import { screw } from './screw/kind.ts';
import { STANDARD_MODULES } from './standardSizes.ts';
import { fullTeethOf, wormSector } from './wormSector/kind.ts';
import { identifyWheel, wheelIdentifyInput } from './wormWheel/identify.ts';

const random = seeded(61);
const read = (value: number, plusMinus = 0.03) => ({ value: value + plusMinus * gaussian(random), plusMinus });
const modules = STANDARD_MODULES.filter((m) => m >= 0.5 && m <= 5);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
const worn = () => 0.15 * random();

/** Share of gears of which the first candidate has the size that was cut. */
const share = (found: () => boolean, of = 120) => Array.from({ length: of }, found).filter(Boolean).length / of;

test('worn bevels, wheels, racks and screws are known again from noisy readings', () => {
  const bevel = () => {
    const [m, z1] = [pick(modules), 10 + Math.floor(20 * random())];
    const z2 = z1 + Math.floor(20 * random());
    const [d1, d2] = coneAngles(z1, z2, 90);
    const measurements = {
      pinionTipDiameterMm: read(m * (z1 + 2 * Math.cos(d1)) - worn()),
      wheelTipDiameterMm: read(m * (z2 + 2 * Math.cos(d2)) - worn()),
      toothHeightMm: read(2.25 * m - worn() / 2, 0.06),
    };
    return identifyBevel(bevelIdentifyInput.parse({ pinionTeeth: z1, wheelTeeth: z2, measurements })).candidates[0]?.outerModuleMm === m;
  };
  const wheel = () => {
    const [m, teeth] = [pick(modules), 15 + Math.floor(40 * random())];
    const shift = 0.15 * gaussian(random);
    const measurements = { throatDiameterMm: read(m * (teeth + 2 + 2 * shift) - worn()), toothHeightMm: read(2.2 * m - worn() / 2, 0.06) };
    return identifyWheel(wheelIdentifyInput.parse({ teeth, measurements })).candidates[0]?.axialModuleMm === m;
  };
  const rack = () => {
    const m = pick(modules);
    return (
      identifyRack(rackIdentifyInput.parse({ measurements: { pitch: { teeth: 10, lengthMm: read(10 * Math.PI * m) } } })).candidates[0]
        ?.normalModuleMm === m
    );
  };
  const screw = () => {
    const pitch = pick([0.8, 1, 1.25, 1.5, 2, 3]);
    const measurements = { pitch: { threads: 10, lengthMm: read(10 * pitch) }, travel: { turns: 10, travelMm: read(20 * pitch, 0.2) } };
    const [first] = identifyScrew(screwIdentifyInput.parse({ measurements })).candidates;
    return first?.pitchMm === pitch && first.starts === 2;
  };
  expect(Math.min(share(bevel), share(rack), share(screw))).toBeGreaterThan(0.93);
  // A wheel's shift and its size pull at the same diameter: the throat and the depth alone leave some open.
  expect(share(wheel)).toBeGreaterThan(0.8);
});

test('chances with none-of-these add up to one, and nothing near a standard is none of these', () => {
  const odd = identifyRack(rackIdentifyInput.parse({ measurements: { pitch: { teeth: 10, lengthMm: { value: 40.9, plusMinus: 0.03 } } } }));
  expect(odd.candidates.reduce((sum, { probability }) => sum + probability, odd.noneOfTheseProbability)).toBeCloseTo(1, 9);
  expect(odd.noneOfTheseProbability).toBeGreaterThan(0.9);
});

test('what is asked next is something that was not read', () => {
  const { nextMeasurement } = identifyWheel(
    wheelIdentifyInput.parse({ teeth: 40, measurements: { throatDiameterMm: { value: 84.4, plusMinus: 0.1 } } }),
  );
  expect(['rimPitchMm', 'toothHeightMm']).toContain(nextMeasurement?.quantity);
});

test('fresh positions of a wheel touch no worked tooth and not each other', () => {
  const wheel = fc.integer({ min: 8, max: 80 }).chain((teeth) =>
    fc.record({
      teeth: fc.constant(teeth),
      worked: fc.array(fc.record({ from: fc.integer({ min: 1, max: teeth }), to: fc.integer({ min: 1, max: teeth }) }), { maxLength: 3 }),
      needTeeth: fc.integer({ min: 1, max: teeth }),
    }),
  );
  fc.assert(
    fc.property(wheel, ({ teeth, worked, needTeeth }) => {
      const along = ({ from, to }: { from: number; to: number }) =>
        Array.from({ length: ((to - from + teeth) % teeth) + 1 }, (_, i) => ((from - 1 + i) % teeth) + 1);
      const { positions, fresh, workedTeeth } = freshArcs({ teeth, shape: 'wheel', worked, needTeeth });
      const used = new Set(worked.flatMap(along));
      const laid = positions.flatMap(along);
      expect(laid.some((tooth) => used.has(tooth))).toBe(false);
      expect(new Set(laid).size).toBe(positions.length * needTeeth);
      expect(fresh.reduce((sum, each) => sum + each.teeth, workedTeeth)).toBe(teeth);
    }),
  );
});

test('two gears that are alike differ in nothing, and a difference is the same the other way round', () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 100, noNaN: true }), fc.double({ min: -5, max: 5, noNaN: true }), (value, more) => {
      const [first, second] = [
        { boreDiameterMm: { value, plusMinus: 0.03 } },
        { boreDiameterMm: { value: value + more, plusMinus: 0.03 } },
      ];
      const [there, back] = [compareGears({ first, second }), compareGears({ first: second, second: first })];
      expect(there.attributes[0]?.difference).toBeCloseTo(-(back.attributes[0]?.difference ?? NaN), 9);
      expect(there.deciding).toBe(back.deciding);
      expect(there.deciding === null).toBe(Math.abs(more) < 3 * Math.hypot(0.03, 0.03));
    }),
  );
});

test('a reading may be called as every object is made', () => {
  const { attributes } = compareGears({ first: {}, second: { constructor: { value: 3, plusMinus: 0.1 } } });
  expect(attributes).toEqual([{ name: 'constructor', state: 'notRead', second: 3 }]);
});

const taken = (value: number, plusMinus: number, over?: number) => [
  { entryId: 'e', reading: { value, plusMinus }, instrument: 'digitalCaliper', entered: '', ...(over !== undefined && { over }) },
];
const measured = (readings: object): MeasuredGear => ({ readings: readings as MeasuredGear['readings'], hand: 'right' });

test('what is read on the cards of rack and screw is what their operations ask, and names the part to look for', () => {
  const gear = measured({ axialPitch: taken(50.27, 0.03, 8), teeth: taken(40, 0), faceWidthMm: taken(20, 0.03) });
  const [found] = identifyRack(rackIdentifyInput.parse(rack.identification.question(gear))).candidates;
  expect(found?.normalModuleMm).toBe(2);
  expect(found && rack.identification.wanted(found, gear)).toMatchObject({
    type: 'rack',
    normalModuleMm: 2,
    teeth: 40,
    faceWidthMm: { value: 20 },
  });
  // ISO 2904, Tr 12×3, of two starts: ten threads are 30 mm, ten turns 60.
  const spindle = measured({ axialPitch: taken(30.01, 0.03, 10), travelMm: taken(60, 0.2, 10), tipDiameterMm: taken(12, 0.03) });
  const [thread] = identifyScrew(screwIdentifyInput.parse(screw.identification.question(spindle))).candidates;
  expect(thread).toMatchObject({ pitchMm: 3, starts: 2, leadMm: 6 });
  expect(thread && screw.identification.wanted(thread, spindle)).toMatchObject({
    type: 'screw',
    starts: 2,
    hand: 'right',
    outsideDiameterMm: { value: 12 },
  });
  expect([rack.identification.question(measured({ teeth: taken(9, 0) })), screw.identification.question(measured({}))]).toEqual([
    null,
    null,
  ]);
});

test('a sector tells its whole round once the arc is long and sharp enough, and then the wheel that it is a piece of', () => {
  // Eleven pitches of a wheel of 40: 99 degrees.
  const arc = (plusMinus: number) => ({ arcDeg: taken(99, plusMinus, 11) });
  expect([fullTeethOf(measured(arc(0.5))), fullTeethOf(measured(arc(2))), fullTeethOf(measured({}))]).toEqual([40, null, null]);
  // Module 2 by hand: tips on 84 mm, five of forty steps along the rim.
  const gear = measured({
    ...arc(0.5),
    axialPitch: taken((5 * Math.PI * 84) / 40, 0.2, 5),
    toothHeightMm: taken(4.4, 0.09),
    teeth: taken(12, 0),
  });
  const question = wormSector.identification.question(gear);
  expect(question).toMatchObject({ teeth: 40 });
  const [found] = identifyWheel(wheelIdentifyInput.parse(question)).candidates;
  expect(found?.axialModuleMm).toBe(2);
  const card = { type: 'sector', body: 'sector' } as const;
  expect(found && wormSector.identification.wanted(found, gear, card)).toMatchObject({ type: 'sector', teeth: 12, normalModuleMm: 2 });
  expect(wormSector.identification.question(measured({ ...gear.readings, ...arc(2) }))).toBeNull();
});
