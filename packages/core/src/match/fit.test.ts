import fc from 'fast-check';
import { fit } from './fit.ts';
import { matchFitInput, type PartAttributes } from './schema.ts';

const sound: PartAttributes = {
  type: 'worm',
  starts: 1,
  axialModuleMm: 1,
  pitchDiameterMm: 18,
  hand: 'right',
  boreShape: 'round',
  boreDiameterMm: 12,
  faceWidthMm: 9,
};
const against = (part: Partial<PartAttributes>, more: object = {}) =>
  fit(matchFitInput.parse({ wanted: sound, part: { ...sound, ...part }, ...more }));
const attribute = (name: string, part: Partial<PartAttributes>) => against(part).attributes.find((each) => each.name === name);

test('the same gear fits', () => {
  const { probability, attributes } = against({});
  expect(probability).toBeGreaterThan(0.9);
  expect(attributes.every(({ state }) => state === 'fits')).toBe(true);
});

test.each([
  ['other hand', { hand: 'left' }, 'hand'],
  ['two starts', { starts: 2 }, 'starts'],
  ['24 DP for module 1', { axialModuleMm: 25.4 / 24 }, 'axialModuleMm'],
  ['two millimetres narrow', { faceWidthMm: 7 }, 'faceWidthMm'],
  ['bore five millimetres large', { boreDiameterMm: 17 }, 'boreDiameterMm'],
  ['hexagon bore', { boreShape: 'hex' }, 'boreShape'],
] as const)('refuses a near-miss: %s', (_name, part, deciding) => {
  const result = against(part);
  expect(result.deciding).toBe(deciding);
  expect(result.attributes.find(({ name }) => name === deciding)?.state).toBe('doesNotFit');
  expect(result.probability).toBeLessThan(0.05);
});

test('says what work would make it fit, and by how much', () => {
  expect(attribute('faceWidthMm', { faceWidthMm: 11 })).toMatchObject({
    state: 'fitsAfterWork',
    difference: 2,
    work: 'narrowFace',
  });
  expect(attribute('boreDiameterMm', { boreDiameterMm: 12.1 })?.work).toBe('bond');
  expect(attribute('boreDiameterMm', { boreDiameterMm: 13 })?.work).toBe('sleeve');
});

test('a claim that the dimensions contradict is named', () => {
  expect(against({ starts: 2 }, { claims: ['Tovelund T5-46'], machine: 'Tovelund T5-46' }).contradiction).toBe('starts');
  expect(against({ starts: 2 }, { claims: [], machine: 'Tovelund T5-46' }).contradiction).toBeUndefined();
  expect(against({}, { claims: ['Tovelund T5-46'], machine: 'Tovelund T5-46' }).contradiction).toBeUndefined();
});

test('what one side does not tell is unknown, not a fit', () => {
  const { boreDiameterMm: _, ...noBore } = sound;
  const result = fit(matchFitInput.parse({ wanted: sound, part: noBore }));
  expect(result.attributes.find(({ name }) => name === 'boreDiameterMm')).toMatchObject({ state: 'unknown' });
  expect(result.probability).toBeLessThan(against({}).probability);
});

test('diametral pitch and module are one attribute', () => {
  const result = fit(matchFitInput.parse({ wanted: { type: 'spur', diametralPitch: 25.4 }, part: { type: 'spur', normalModuleMm: 1 } }));
  expect(result.attributes.find(({ name }) => name === 'normalModuleMm')?.state).toBe('fits');
});

test('a blunter instrument is never more certain of a misfit', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 1, noNaN: true }), fc.double({ min: 0.005, max: 0.02, noNaN: true }), (off, plusMinus) => {
      const chance = (sd: number) =>
        fit(matchFitInput.parse({ wanted: { pitchDiameterMm: { value: 18, plusMinus: sd } }, part: { pitchDiameterMm: 18 + off } }))
          .probability;
      return chance(plusMinus * 5) >= chance(plusMinus) - 1e-12;
    }),
  );
});
