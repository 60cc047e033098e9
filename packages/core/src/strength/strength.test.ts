import { FAMILIES } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { chainInput, chainStrength } from './chain.ts';
import { lewisForm } from './lewis.ts';
import { pinInput, pinStrength } from './pin.ts';
import { toothInput, toothStrength } from './tooth.ts';

/** Shigley, Mechanical Engineering Design, table 14-2: 20°, full depth, load at the tip. */
const TABLE = [
  [12, 0.245],
  [13, 0.261],
  [14, 0.277],
  [15, 0.29],
  [16, 0.296],
  [17, 0.303],
  [18, 0.309],
  [19, 0.314],
  [20, 0.322],
  [22, 0.331],
  [24, 0.337],
  [26, 0.346],
  [28, 0.353],
  [30, 0.359],
  [34, 0.371],
  [38, 0.384],
  [43, 0.397],
  [50, 0.409],
  [60, 0.422],
  [75, 0.435],
  [100, 0.447],
  [150, 0.46],
  [300, 0.472],
] as const;
const form = (teeth: number, more: object = {}) => lewisForm({ teeth, pressureAngleDeg: 20, profileShift: 0, thinning: 0, ...more });
const y = (teeth: number, more: object = {}) => form(teeth, more).factor;

test('form factors are those of the printed table: none further off than 6 %, on the whole within 3 %', () => {
  const off = TABLE.map(([teeth, printed]) => y(teeth) / printed - 1);
  expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.06);
  expect(off.reduce((sum, each) => sum + Math.abs(each), 0) / off.length).toBeLessThan(0.03);
});

test('a tooth bears more with more teeth and more shift, and less the more is worn off', () => {
  for (let teeth = 9; teeth < 80; teeth++) expect(y(teeth + 1)).toBeGreaterThan(y(teeth));
  expect(y(12, { profileShift: 0.3 })).toBeGreaterThan(1.2 * y(12));
  expect(y(25, { thinning: 0.2 })).toBeLessThan(0.9 * y(25));
  for (let worn = 0; worn < 1; worn += 0.05) expect(y(25, { thinning: worn + 0.05 })).toBeLessThan(y(25, { thinning: worn }) + 1e-9);
});

test('a tooth that is worn to a point goes at its tip and bears next to nothing, a whole one at its foot', () => {
  expect([form(40).weakestAt, form(12).weakestAt, form(40, { thinning: 0.2 }).weakestAt]).toEqual(['foot', 'foot', 'foot']);
  // Half a module off leaves a tip of a quarter of one, and the parabola touches below it.
  expect(form(40, { thinning: 0.5 })).toMatchObject({ weakestAt: 'tip' });
  expect(y(40, { thinning: 0.5 })).toBeCloseTo(0.178, 3);
  expect(form(40, { thinning: 0.9 })).toMatchObject({ weakestAt: 'tip' });
  expect(y(40, { thinning: 0.9 })).toBeLessThan(0.06 * y(40));
});

const tooth = (gear: object = {}, more: object = {}) =>
  toothStrength(
    toothInput.parse({ gear: { teeth: 20, normalModuleMm: 2, faceWidthMm: 20, material: 'steel', ...gear }, torqueNm: 20, ...more }),
  );

test('whatever is made stronger, the utilisation falls', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 80 }),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      fc.double({ min: 3, max: 40, noNaN: true }),
      fc.double({ min: 1.05, max: 3, noNaN: true }),
      (teeth, normalModuleMm, faceWidthMm, more) => {
        const base = { teeth, normalModuleMm, faceWidthMm, material: 'acetal' };
        const mate = { mate: { teeth: 30, material: 'steel' } };
        const before = tooth(base, mate);
        const wider = tooth({ ...base, faceWidthMm: faceWidthMm * more }, mate);
        const coarser = tooth({ ...base, normalModuleMm: normalModuleMm * more }, mate);
        const harder = tooth({ ...base, material: 'steel' }, mate);
        for (const better of [wider, coarser]) {
          expect(better.bendingUtilisation).toBeLessThan(before.bendingUtilisation);
          expect(better.contactUtilisation).toBeLessThan(before.contactUtilisation ?? NaN);
          expect(better.torqueCapacityNm).toBeGreaterThan(before.torqueCapacityNm);
        }
        expect(harder.bendingUtilisation).toBeLessThan(before.bendingUtilisation);
      },
    ),
  );
});

test('at its capacity the limiting utilisation is one', () => {
  const { torqueCapacityNm } = tooth({ material: 'nylon' }, { mate: { teeth: 40, material: 'steel' } });
  const there = tooth({ material: 'nylon' }, { mate: { teeth: 40, material: 'steel' }, torqueNm: torqueCapacityNm });
  expect(Math.max(there.bendingUtilisation, there.contactUtilisation ?? 0)).toBeCloseTo(1, 9);
});

test('a warm plastic bears less, a metal as much, and a figure off a sheet is no guide', () => {
  expect(tooth({ material: 'acetal' }, { temperatureC: 80 }).torqueCapacityNm).toBeLessThan(
    0.6 * tooth({ material: 'acetal' }).torqueCapacityNm,
  );
  expect(tooth({}, { temperatureC: 80 }).torqueCapacityNm).toBe(tooth().torqueCapacityNm);
  const sheet = { youngsModulusMPa: 206_000, poissonRatio: 0.3, yieldMPa: 370, expansionPerK: 1.15e-5 };
  expect([tooth().guide, tooth({ material: sheet }).guide]).toEqual([true, false]);
});

test('a pin made thicker leaves the seat to go first', () => {
  const pin = (pinDiameterMm: number) =>
    pinStrength(
      pinInput.parse({ pinDiameterMm, shaftDiameterMm: 16, wallMm: 6, torqueNm: 20, pinShearStrengthMPa: 200, seatBearingStrengthMPa: 60 }),
    );
  expect([pin(1.5).goesFirst, pin(6).goesFirst]).toEqual(['pin', 'seat']);
});

const driveline = {
  bodies: ['motor', 'worm', 'wheel', 'gear', 'left', 'right', 'rack'].map((id) => ({ id, ...(id === 'rack' && { kind: 'slider' }) })),
  joints: [
    { id: 'press', type: 'seat', a: 'motor', b: 'worm', by: 'pressFit' },
    { id: 'worming', type: 'worm', worm: 'worm', wheel: 'wheel', starts: 1, teeth: 40, selfLocking: true },
    { id: 'mesh', type: 'mesh', a: 'gear', b: 'wheel', teethA: 30, teethB: 10 },
    { id: 'diff', type: 'differential', case: 'gear', left: 'left', right: 'right' },
    { id: 'racking', type: 'rack', pinion: 'left', rack: 'rack', teeth: 12, moduleMm: 2 },
  ],
};
const chain = (drive: string, more: object = {}) =>
  chainStrength(
    chainInput.parse({
      driveline,
      drive: { body: drive, torqueNm: 1 },
      links: driveline.joints.map(({ id }) => ({ joint: id, capacityNm: 50 })),
      efficiencies: { worming: 0.5, mesh: 1, diff: 1, racking: 1 },
      ...more,
    }),
  );
const loadOf = (joint: string, of: ReturnType<typeof chain>) => of.links.find((each) => each.joint === joint)?.loadNm;

test('a torque goes through worm, mesh taken from its far side, differential and rack', () => {
  const found = chain('motor');
  // 1 · 40 · 0.5 = 20 at the wheel; 30 on the gear to 10 on the wheel: 60; a half on each side.
  expect(['press', 'worming', 'mesh', 'diff', 'racking'].map((joint) => loadOf(joint, found))).toEqual([1, 20, 60, 30, 30]);
  expect([found.fuse, found.stallBreaks]).toEqual(['mesh', 'mesh']);
});

test('nothing gets back through a worm that locks itself, and nothing is lost on links out of reach', () => {
  const back = chain('gear', { efficiencies: {} });
  expect(loadOf('worming', back)).toBe(0);
  expect(loadOf('press', back)).toBe(0);
});

test('made stronger, the fuse is another, and no link bears more than before', () => {
  const { after } = chain('motor', { changes: [{ joint: 'mesh', capacityNm: 500 }] });
  expect(after?.fuse).not.toBe('mesh');
  expect(after?.stallBreaks).toBeNull();
});

test('without efficiencies a worm of one start loses about half, by its lead angle', () => {
  const load = loadOf('worming', chain('motor', { efficiencies: {} })) ?? NaN;
  expect(load / 40).toBeGreaterThan(0.45);
  expect(load / 40).toBeLessThan(0.6);
});

test('steel on nylon is as strong as the nylon, at both gears, whichever is asked first', () => {
  const size = { normalModuleMm: 1, faceWidthMm: 8 };
  const asked = (own: object, mate: object, torqueNm: number) =>
    toothStrength(toothInput.parse({ gear: { ...size, ...own }, mate, torqueNm }));
  const [steel, nylon] = [
    { teeth: 12, material: 'steel' },
    { teeth: 40, material: 'nylon' },
  ];
  const alone = toothStrength(toothInput.parse({ gear: { ...size, ...nylon }, torqueNm: 1 })).torqueCapacityNm;
  const pinion = asked(steel, nylon, 1).pair;
  const wheel = asked(nylon, steel, 1).pair;
  expect([pinion?.weaker, wheel?.weaker]).toEqual(['mate', 'gear']);
  expect(wheel?.breaksAtNm).toBeCloseTo(alone, 9);
  expect(pinion?.breaksAtNm).toBeCloseTo((alone * 12) / 40, 9);
  expect(wheel?.wearsAtNm).toBeCloseTo(((pinion?.wearsAtNm ?? NaN) * 40) / 12, 9);
  // A mate with half the face bears half.
  expect(asked(steel, { ...nylon, faceWidthMm: 4 }, 1).pair?.breaksAtNm).toBeCloseTo((pinion?.breaksAtNm ?? NaN) / 2, 9);
});

test('nylon in use bears less than dry, and where the data end nothing is said', () => {
  expect(tooth({ material: 'nylonMoist' }).torqueCapacityNm).toBeLessThan(0.7 * tooth({ material: 'nylon' }).torqueCapacityNm);
  expect(tooth().basis).toBe('static');
  expect(() => tooth({ material: 'acetal' }, { temperatureC: 121 })).toThrow('outOfRange at temperatureC');
});

const two = {
  bodies: ['motor', 'shaft', 'one', 'other', 'out', 'spare', 'away'].map((id) => ({ id })),
  joints: [
    { id: 'press', type: 'seat', a: 'motor', b: 'shaft', by: 'pressFit' },
    { id: 'first', type: 'mesh', a: 'shaft', b: 'one', teethA: 10, teethB: 20 },
    { id: 'second', type: 'mesh', a: 'shaft', b: 'other', teethA: 10, teethB: 30 },
    { id: 'firstOut', type: 'mesh', a: 'one', b: 'out', teethA: 10, teethB: 30 },
    { id: 'secondOut', type: 'mesh', a: 'other', b: 'out', teethA: 10, teethB: 20 },
    { id: 'alone', type: 'mesh', a: 'spare', b: 'away', teethA: 10, teethB: 20 },
  ],
};
const onTwo = (joints: object[], capacities: Record<string, number> = {}) =>
  chainStrength(
    chainInput.parse({
      driveline: { ...two, joints },
      drive: { body: 'motor', torqueNm: 1 },
      links: two.joints.map(({ id }) => ({ joint: id, capacityNm: capacities[id] ?? 50 })),
      efficiencies: { first: 1, second: 1, firstOut: 1, secondOut: 1 },
    }),
  );

test('where two ways meet each carries as if alone, in whatever order the joints stand; what is not reached is no fuse', () => {
  const loads = (joints: object[]) => Object.fromEntries(onTwo(joints).links.map(({ joint, loadNm }) => [joint, loadNm]));
  const wanted = { press: 1, first: 2, second: 3, firstOut: 6, secondOut: 6, alone: 0 };
  expect(loads(two.joints)).toEqual(wanted);
  expect(loads([...two.joints].reverse())).toEqual(wanted);
  const weak = onTwo(two.joints, { alone: 0.001 });
  expect(weak.links.find(({ joint }) => joint === 'alone')).toMatchObject({ reached: false });
  expect(weak.fuse).not.toBe('alone');
});

test('a way over seats is no longer than one beside it, and three gears in a ring are refused', () => {
  // A sleeve on the shaft drives the same wheel as the shaft's own teeth.
  const sleeve = { id: 'press', type: 'seat', a: 'motor', b: 'other', by: 'key' };
  const own = { id: 'first', type: 'mesh', a: 'motor', b: 'out', teethA: 10, teethB: 20 };
  const its = { id: 'secondOut', type: 'mesh', a: 'other', b: 'out', teethA: 10, teethB: 30 };
  const found = chainStrength(
    chainInput.parse({
      driveline: { ...two, joints: [sleeve, own, its] },
      drive: { body: 'motor', torqueNm: 1 },
      links: ['press', 'first', 'secondOut'].map((joint) => ({ joint, capacityNm: 50 })),
      efficiencies: { first: 1, secondOut: 1 },
    }),
  );
  expect(Object.fromEntries(found.links.map(({ joint, loadNm }) => [joint, loadNm]))).toEqual({ press: 1, first: 2, secondOut: 3 });
  const ring = [...two.joints, { id: 'ring', type: 'mesh', a: 'one', b: 'other', teethA: 20, teethB: 30 }];
  expect(() => onTwo(ring)).toThrow('impossibleGeometry at driveline.joints');
});

test('no shipped drive line is a ring to its driver', () => {
  for (const { id, driveline: shipped, order } of FAMILIES) {
    const links = shipped.joints.map(({ id: joint }) => ({ joint, capacityNm: 1 }));
    const { fuse } = chainStrength(chainInput.parse({ driveline: shipped, drive: { body: order[0], torqueNm: 1 }, links }));
    expect([id, fuse]).toEqual([id, expect.any(String)]);
  }
});

test('a pin presses the shaft’s own hole most, and must leave something of it', () => {
  const asked = { pinDiameterMm: 5, shaftDiameterMm: 20, wallMm: 8, torqueNm: 30, pinShearStrengthMPa: 300, seatBearingStrengthMPa: 60 };
  const found = pinStrength(pinInput.parse({ ...asked, shaftBearingStrengthMPa: 90 }));
  // 6 · 30 000 / (5 · 20²)
  expect(found.shaftBearingMPa).toBeCloseTo(90, 9);
  expect(pinStrength(pinInput.parse({ ...asked, shaftBearingStrengthMPa: 50 })).goesFirst).toBe('shaft');
  expect(() => pinStrength(pinInput.parse({ ...asked, pinDiameterMm: 20 }))).toThrow('impossibleGeometry at pinDiameterMm');
});
