import fc from 'fast-check';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { pressFit, pressInput } from './press.ts';

const STEEL = { shaft: { diameterMm: 20, material: 'steel' }, hub: { outerDiameterMm: 40, lengthMm: 30, material: 'steel' } };
const press = (more: object = {}) => pressFit(pressInput.parse({ ...STEEL, interferenceMm: 0.02, ...more }));
const on = (shaft: string, hub: string, more: object = {}) =>
  press({ shaft: { diameterMm: 20, material: shaft }, hub: { outerDiameterMm: 40, lengthMm: 30, material: hub }, ...more });
const refusal = (more: object): unknown => {
  try {
    return press(more);
  } catch (error) {
    return error instanceof CoreFailure ? { path: error.path, ...error.detail } : error;
  }
};

test('a solid steel shaft in a steel hub twice as thick, by hand', () => {
  // p = δ·E·(1 − (d/D)²) / 2d = 0.02·206,000·0.75 / 40; hoop p·(D² + d²)/(D² − d²); Tresca at the bore 2p·D²/(D² − d²).
  expect(press()).toEqual({
    interferenceMm: 0.02,
    effectiveInterferenceMm: 0.02,
    interferenceAtTemperatureMm: 0.02,
    pressureMPa: expect.closeTo(77.25, 6) as number,
    hubHoopStressMPa: expect.closeTo(128.75, 6) as number,
    hubUtilisation: expect.closeTo(206 / 370, 6) as number,
    shaftUtilisation: expect.closeTo(77.25 / 370, 6) as number,
    pressForceN: expect.closeTo(Math.PI * 20 * 30 * 77.25 * 0.12, 3) as number,
    torqueNm: expect.closeTo((Math.PI * 20 * 30 * 77.25 * 0.12) / 100, 5) as number,
    looseAtC: null,
    looseBelowC: null,
    warnings: [],
  });
});

test('a tube gives way more, and bears most at its own bore', () => {
  // Bore 10: (d² + i²)/(d² − i²) = 5/3, as the hub; p = 0.02·206,000 / (20·10/3).
  const { pressureMPa, shaftUtilisation } = press({ shaft: { diameterMm: 20, boreMm: 10, material: 'steel' } });
  expect(pressureMPa).toBeCloseTo(61.8, 6);
  expect(shaftUtilisation).toBeCloseTo((2 * 61.8 * 400) / 300 / 370, 6);
});

test('roughness takes four fifths of its depths, warmth what the hub grows more', () => {
  expect(press({ roughnessRzMm: { shaft: 0.005, hub: 0.005 } }).effectiveInterferenceMm).toBeCloseTo(0.012, 9);
  // 20 mm · 11.5e-6 · 60 K.
  expect(on('steel', 'aluminium', { temperatureC: 80 }).interferenceAtTemperatureMm).toBeCloseTo(0.02 - 0.0138, 9);
});

test('where it comes loose: above where the hub grows more, below where the shaft does, never beyond what either withstands', () => {
  const loose = ({ looseAtC, looseBelowC }: ReturnType<typeof press>) => [looseAtC, looseBelowC];
  expect(loose(on('steel', 'aluminium'))).toEqual([expect.closeTo(20 + 0.02 / (20 * 11.5e-6), 6), null]);
  // It would be loose at 237 °C: aluminium is not used above 200.
  expect(loose(on('steel', 'aluminium', { interferenceMm: 0.05 }))).toEqual([null, null]);
  expect(loose(on('acetal', 'steel'))).toEqual([null, expect.closeTo(20 - 0.02 / (20 * 98.5e-6), 6)]);
  // Below absolute zero nothing comes loose.
  expect(loose(on('acetal', 'steel', { interferenceMm: 0.7 }))).toEqual([null, null]);
});

test('beyond what is elastic it says what yields, and that the torque is less', () => {
  expect(press({ interferenceMm: 0.05 }).warnings).toEqual(['hubYields', 'torqueBeyondElastic']);
  expect(press({ interferenceMm: 0.05, shaft: { diameterMm: 20, boreMm: 14, material: 'steel' } }).warnings).toContain('shaftYields');
  expect(on('steel', 'acetal', { temperatureC: 80, interferenceMm: 0.05 }).warnings).toEqual(['looseAtTemperature', 'plasticCreeps']);
});

test('the interference for a torque gives that torque, at whatever temperature and roughness', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 200, noNaN: true }),
      fc.double({ min: -20, max: 90, noNaN: true }),
      (wantedTorqueNm, temperatureC) => {
        const given = { temperatureC, roughnessRzMm: { shaft: 0.004, hub: 0.006 } };
        const { interferenceMm, effectiveInterferenceMm } = on('steel', 'brass', { ...given, interferenceMm: undefined, wantedTorqueNm });
        // In the cold the brass holds by itself, by more than is wanted.
        if (effectiveInterferenceMm <= 0) return;
        expect(on('steel', 'brass', { ...given, interferenceMm }).torqueNm).toBeCloseTo(wantedTorqueNm, 6);
      },
    ),
  );
});

test('what cannot be is refused at its field, with what it would take', () => {
  expect(refusal({ hub: { outerDiameterMm: 20, lengthMm: 30, material: 'steel' } })).toMatchObject({
    path: 'hub.outerDiameterMm',
    reason: 'hubWithoutWall',
    leastMm: 20,
  });
  expect(refusal({ shaft: { diameterMm: 20, boreMm: 20, material: 'steel' } })).toMatchObject({
    path: 'shaft.boreMm',
    reason: 'shaftAllBore',
    mostMm: 20,
  });
  expect(refusal({ wantedTorqueNm: 5 })).toMatchObject({ path: 'wantedTorqueNm', reason: 'interferenceOrTorque' });
  expect(refusal({ interferenceMm: undefined })).toMatchObject({ path: 'interferenceMm', or: 'wantedTorqueNm' });
});
