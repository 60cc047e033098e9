import fc from 'fast-check';
import { HOURS_A_YEAR, inUseUnit, USE_UNITS } from './useUnit.ts';

test('a usual year is its hours, and an hour its way', () => {
  expect(inUseUnit(1, 'years', 'hours')).toBe(HOURS_A_YEAR);
  expect(inUseUnit(2, 'hours', 'km')).toBe(300);
});

test('there and back is the same amount, in whatever is counted between', () => {
  const unit = fc.constantFrom(...USE_UNITS);
  fc.assert(
    fc.property(fc.double({ min: 0.001, max: 1e8, noNaN: true }), unit, unit, unit, (amount, from, by, to) => {
      expect(inUseUnit(inUseUnit(amount, from, by), by, from) / amount).toBeCloseTo(1, 12);
      expect(inUseUnit(inUseUnit(amount, from, by), by, to) / inUseUnit(amount, from, to)).toBeCloseTo(1, 12);
    }),
  );
});
