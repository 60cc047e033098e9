import { distanceText, kmFrom } from './distance.ts';

test.each([
  [1609.344, 'mile', '1,000 miles'],
  [42_195, 'km', '42,195 km'],
  // A marathon in miles, as everybody knows it.
  [42.195, 'mile', '26 miles'],
] as const)('%d km in %s: %s', (km, unit, text) => expect(distanceText(km, unit)).toBe(text));

test('a mile is 1,609.344 m', () => expect(kmFrom(1, 'mile')).toBe(1.609344));
