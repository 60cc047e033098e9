import { readPrice } from './readPrice.ts';

test('a price is money, days and who says so', () => {
  expect(readPrice({ supplier: ' Hobdray Stores ', price: '12,50', days: '3' })).toEqual({
    said: { supplier: 'Hobdray Stores', priceMinor: 1250, leadDays: 3 },
  });
});

test.each([
  ['', '5', '1', 'supplier'],
  ['H', '', '1', 'price'],
  ['H', '-1', '1', 'price'],
  ['H', 'ten', '1', 'price'],
  ['H', '2000000', '1', 'price'],
  ['H', '5', '', 'days'],
  ['H', '5', '1.5', 'days'],
  ['H', '5', '9999', 'days'],
])('what is wrong is said of its field: %j %j %j', (supplier, price, days, field) => {
  const read = readPrice({ supplier, price, days });
  expect('problems' in read && Object.keys(read.problems)).toEqual([field]);
});
