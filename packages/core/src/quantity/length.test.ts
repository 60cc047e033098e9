import fc from 'fast-check';
import { formatLength, fromMm, LENGTH_UNITS, parseReading, toMm } from './length.ts';

test.each([
  ['18.05', 18.05],
  ['18,05', 18.05],
  ['11/16', 0.6875],
  ['1 3/8', 1.375],
  [' 7 ', 7],
])('reads %s', (text, value) => expect(parseReading(text)).toBe(value));

test.each(['', 'abc', '1/0', '1.2.3', '3/', '--4', '1 2', 'NaN', '1e3'])('refuses %p', (text) => expect(parseReading(text)).toBeNull());

test('a length read in any unit and shown in it again is the same', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LENGTH_UNITS),
      fc.double({ min: 0.001, max: 500, noNaN: true }),
      (unit, value) => Math.abs(fromMm(toMm(value, unit), unit) - value) < 1e-9 * value,
    ),
  );
});

test('shows what an instrument of that unit shows', () => {
  expect(formatLength(25.4, 'inch')).toBe('1.0000 in');
  expect(formatLength(0.0254, 'thou')).toBe('1.0 thou');
  expect(formatLength(18.054)).toBe('18.05 mm');
});
