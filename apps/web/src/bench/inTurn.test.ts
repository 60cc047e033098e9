import type { JobRow } from '@patient-badger/contract';
import { inTurn, promiseText } from './inTurn.ts';

const row = (id: string, promisedOn: string | null, takenInAt: string, kind: 'look' | 'waitForPart' = 'look') =>
  ({ id, promisedOn, takenInAt, move: kind === 'look' ? { kind, name: 'x', minutes: 1 } : { kind, name: 'x' } }) as JobRow;

test('promised soonest first, what waits after what can go on, then who came first', () => {
  const rows = [
    row('late', null, '2026-11-20'),
    row('waits', null, '2026-11-01', 'waitForPart'),
    row('friday', '2026-11-27', '2026-11-25', 'waitForPart'),
    row('early', null, '2026-11-02'),
    row('today', '2026-11-26', '2026-11-26'),
  ];
  expect(inTurn(rows).map(({ id }) => id)).toEqual(['today', 'friday', 'early', 'late', 'waits']);
});

test.each([
  ['2026-11-24', 'promised 2 days ago'],
  ['2026-11-25', 'promised for yesterday'],
  ['2026-11-26', 'promised for today'],
  ['2026-11-27', 'promised for tomorrow'],
  ['2026-12-03', 'promised in 7 days'],
])('promised for %s, seen on the 26th: %s', (on, text) => expect(promiseText(on, '2026-11-26')).toBe(text));
