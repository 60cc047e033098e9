import { distanceText, keptAmount, kmFrom, shownAmount, unitWord } from './distance.ts';

test.each([
  [1609.344, 'mile', '1,000 miles'],
  [42_195, 'km', '42,195 km'],
  // A marathon in miles, as everybody knows it.
  [42.195, 'mile', '26 miles'],
] as const)('%d km in %s: %s', (km, unit, text) => expect(distanceText(km, unit)).toBe(text));

test('a mile is 1,609.344 m', () => expect(kmFrom(1, 'mile')).toBe(1.609344));

test('use is shown in what the shop reads and kept in kilometres; hours are hours', () => {
  expect(shownAmount(160.9344, 'km', 'mile')).toBeCloseTo(100, 10);
  expect(keptAmount(100, 'km', 'mile')).toBeCloseTo(160.9344, 10);
  expect([shownAmount(40, 'hours', 'mile'), keptAmount(40, 'hours', 'mile'), shownAmount(7, 'km', 'km')]).toEqual([40, 40, 7]);
  expect([unitWord('km', 'mile'), unitWord('km', 'km'), unitWord('hours', 'mile')]).toEqual(['miles', 'km', 'hours']);
});
