import type { Part } from '@patient-badger/contract';
import { offersOf, waitText } from './offers.ts';

const part = {
  supplier: 'Quernby Spares',
  priceMinor: 900,
  leadDays: 4,
  stock: 0,
  claims: [],
  listings: [{ supplier: 'Hobdray Stores', priceMinor: 640, leadDays: 9, stock: 2, claims: ['Wall 9'] }],
} as unknown as Part;

test('the cheapest seller comes first, the part’s own among them', () => {
  expect(offersOf(part).map(({ supplier }) => supplier)).toEqual(['Hobdray Stores', 'Quernby Spares']);
});

test.each([
  [{ stock: 2, leadDays: 9 }, '2 there'],
  [{ stock: 0, leadDays: 1 }, 'none there, 1 day'],
  [{ stock: 0, leadDays: 0 }, 'none there'],
])('%o is said as %s', (offer, words) => expect(waitText(offer)).toBe(words));
