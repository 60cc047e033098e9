import fc from 'fast-check';
import { yearlyUse, type MeterReading } from './yearlyUse.ts';

const on = (at: string, value: number): MeterReading => ({ at, value });

test('two readings a year apart: the difference', () => {
  expect(yearlyUse([on('2024-03-01', 120), on('2025-03-01', 205)])).toEqual({
    perYear: expect.closeTo((85 / 365) * 365.25, 6) as number,
    days: 365,
  });
});

test.each<[string, MeterReading[]]>([
  ['nothing read', []],
  ['read once', [on('2025-01-01', 40)]],
  ['read twice in a week', [on('2025-01-01', 40), on('2025-01-08', 60)]],
  ['read less each time', [on('2024-01-01', 40), on('2025-01-01', 3)]],
])('%s: not known yet', (_, readings) => expect(yearlyUse(readings)).toBeNull());

test('a meter that was changed begins anew: what is known on either side of it counts', () => {
  const old = [on('2022-01-01', 1000), on('2023-01-01', 1100)];
  const next = [on('2024-01-01', 5), on('2025-01-01', 105)];
  // 2023 has 365 days and 2024 has 366; the year between the two meters tells nothing.
  expect(yearlyUse([...old, ...next])).toEqual({ perYear: expect.closeTo((200 / 731) * 365.25, 6) as number, days: 731 });
});

test('steady use is found exactly, whenever and in whatever order it was read', () => {
  const days = fc.uniqueArray(fc.integer({ min: 0, max: 4000 }), { minLength: 2, maxLength: 12 });
  fc.assert(
    fc.property(days, fc.double({ min: 0, max: 40, noNaN: true }), (list, perDay) => {
      const span = Math.max(...list) - Math.min(...list);
      const found = yearlyUse(list.map((day) => on(new Date(day * 86_400_000).toISOString(), 50 + day * perDay)));
      if (span < 30) expect(found).toBeNull();
      else expect(found?.perYear).toBeCloseTo(perDay * 365.25, 4);
    }),
  );
});
