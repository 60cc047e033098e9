import fc from 'fast-check';
import { chainInput, chainStrength } from './chain.ts';
import { lewisFactor } from './lewis.ts';
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
const y = (teeth: number, more: object = {}) => lewisFactor({ teeth, pressureAngleDeg: 20, profileShift: 0, thinning: 0, ...more });

test('form factors are those of the printed table: none further off than 6 %, on the whole within 3 %', () => {
  const off = TABLE.map(([teeth, printed]) => y(teeth) / printed - 1);
  expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.06);
  expect(off.reduce((sum, each) => sum + Math.abs(each), 0) / off.length).toBeLessThan(0.03);
});

test('a tooth bears more with more teeth and more shift, and less the more is worn off', () => {
  for (let teeth = 9; teeth < 80; teeth++) expect(y(teeth + 1)).toBeGreaterThan(y(teeth));
  expect(y(12, { profileShift: 0.3 })).toBeGreaterThan(1.2 * y(12));
  expect(y(25, { thinning: 0.2 })).toBeLessThan(0.9 * y(25));
  // Half of the thickness bears about a quarter.
  expect(y(40, { thinning: 0.9 }) / y(40)).toBeGreaterThan(0.15);
  expect(y(40, { thinning: 0.9 }) / y(40)).toBeLessThan(0.45);
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
