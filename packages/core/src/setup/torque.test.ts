import { CoreFailure } from '../failure/CoreFailure.ts';
import { torqueInput, torqueInUnits } from './torque.ts';

const torque = (more: object) => torqueInUnits(torqueInput.parse({ value: 10, unit: 'N·m', ...more }));
const M6 = { majorMm: 6, pitchMm: 1, engagedMm: 8.5 };

test('a torque alone is told in three units, and nothing is said of what it does to a thread', () => {
  expect(torque({})).toEqual({
    newtonMetres: 10,
    footPounds: expect.closeTo(7.3756, 4) as number,
    inchPounds: expect.closeTo(88.507, 3) as number,
    warnings: [],
  });
  expect(torque({ thread: M6 })).not.toHaveProperty('capNm');
  expect(Object.keys(torque({ thread: M6 }))).toEqual(['newtonMetres', 'footPounds', 'inchPounds', 'warnings']);
});

test('what it screws into caps by the shear of its thread: M6, eight turns, by hand', () => {
  // 0.75·π·6 mm·(8.5 − 0.5) mm = 113.10 mm² sheared; yield 250 MPa, 0.577 of it in shear, half of that used: 8162 N; K·d = 1.2 mm.
  const { threadCapNm, capNm, screwCapNm, warnings } = torque({ into: 'aluminium', thread: M6 });
  expect(threadCapNm).toBeCloseTo(9.795, 2);
  expect([capNm, screwCapNm, warnings]).toEqual([threadCapNm, undefined, ['aboveCap']]);
  const deeper = torque({ into: 'aluminium', thread: { ...M6, engagedMm: 16.5 } });
  expect(deeper.threadCapNm).toBeCloseTo(2 * 9.795, 2);
});

test('the screw caps by its own yield, and the lesser of the two counts', () => {
  // M6: stress area 20.1 mm² (ISO 898-1, table 4); 640 MPa, three quarters: 9648 N on 1.2 mm.
  const screw = torque({ thread: M6, screw: { strengthClass: '8.8' } });
  expect(screw.screwCapNm).toBeCloseTo(11.58, 1);
  expect(torque({ thread: M6, screw: { yieldMPa: 640 } }).screwCapNm).toBeCloseTo(screw.screwCapNm ?? NaN, 9);
  expect([screw.capNm, screw.threadCapNm, screw.warnings]).toEqual([screw.screwCapNm, undefined, []]);
  const both = torque({ into: 'aluminium', thread: M6, screw: { strengthClass: '8.8' } });
  expect(both.capNm).toBe(Math.min(both.threadCapNm ?? NaN, both.screwCapNm ?? NaN));
  expect(torque({ into: 'steel', thread: M6, screw: { strengthClass: '4.6' } }).capNm).toBeCloseTo((11.58 * 240) / 640, 1);
});

test('large screws have the yield of large ones: class 8.8 above 16 mm 660 MPa', () => {
  const cap = (majorMm: number) =>
    torque({ thread: { majorMm, pitchMm: 2, engagedMm: 30 }, screw: { strengthClass: '8.8' } }).screwCapNm ?? NaN;
  const perMm3 = (majorMm: number) => cap(majorMm) / (majorMm * (majorMm - 0.9382 * 2) ** 2);
  expect(perMm3(20) / perMm3(16)).toBeCloseTo(660 / 640, 9);
});

test('half a pitch and less holds nothing, a little more holds a little; what is cut away to nothing holds nothing', () => {
  const engaged = (engagedMm: number) => torque({ into: 'aluminium', thread: { ...M6, engagedMm } });
  expect(() => engaged(0.5)).toThrow(CoreFailure);
  try {
    engaged(0.4);
  } catch (error) {
    expect(error).toMatchObject({ path: 'thread.engagedMm', detail: { reason: 'threadBarelyEngaged', leastMm: 0.5 } });
  }
  expect(engaged(0.51).threadCapNm).toBeGreaterThan(0);
  expect(torque({ thread: { majorMm: 2, pitchMm: 2.5, engagedMm: 10 }, screw: { yieldMPa: 640 } }).screwCapNm).toBe(0);
});

test('thread and screw are bounded', () => {
  for (const wrong of [
    { thread: { ...M6, majorMm: 501 } },
    { thread: { ...M6, pitchMm: 51 } },
    { thread: { ...M6, engagedMm: 1001 } },
    { screw: { yieldMPa: 10_001 } },
    { value: 0 },
    { value: 2e6 },
  ])
    expect(torqueInput.safeParse({ value: 10, unit: 'N·m', ...wrong }).success).toBe(false);
});
