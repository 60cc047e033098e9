import fc from 'fast-check';
import { guessMapping, readPartRow } from './partRow.ts';

const mapping = guessMapping(['Part no', 'Kind', 'Z', 'Module', 'Bore', 'Width', 'Price', 'Fits', 'Hand', 'Colour']);
const row = {
  'Part no': 'QB-1',
  Kind: 'Spur',
  Z: '17',
  Module: '1,5',
  Bore: '8',
  Width: '10',
  Price: '12.50',
  Fits: 'Wall 9; Wall 10',
  Hand: '',
};

test('columns are guessed by their headings, and what is unknown is left alone', () => {
  expect(mapping).toEqual({
    partNumber: 'Part no',
    type: 'Kind',
    teeth: 'Z',
    normalModuleMm: 'Module',
    boreDiameterMm: 'Bore',
    faceWidthMm: 'Width',
    price: 'Price',
    fits: 'Fits',
    hand: 'Hand',
  });
});

test('a row becomes a part, in millimetres and minor units', () => {
  expect(readPartRow(row, mapping, 'mm')).toEqual({
    ok: true,
    draft: {
      partNumber: 'QB-1',
      name: 'QB-1',
      supplier: 'not named',
      attributes: { type: 'spur', teeth: 17, normalModuleMm: 1.5, boreDiameterMm: 8, faceWidthMm: 10 },
      priceMinor: 1250,
      leadDays: 0,
      stock: 0,
      claims: ['Wall 9', 'Wall 10'],
    },
  });
  expect(readPartRow({ ...row, Bore: '0.5' }, mapping, 'inch')).toMatchObject({ draft: { attributes: { boreDiameterMm: 12.7 } } });
});

test('every cell that cannot be used is named', () => {
  const found = readPartRow({ ...row, 'Part no': '', Z: '17.5', Bore: 'eight', Hand: 'both', Module: '' }, mapping, 'mm');
  expect(found.ok ? [] : found.problems.map(({ field, given }) => [field, given])).toEqual([
    ['partNumber', ''],
    ['normalModuleMm', ''],
    ['teeth', '17.5'],
    ['hand', 'both'],
    ['boreDiameterMm', 'eight'],
  ]);
});

test('whatever stands in the cells, a row is a part or says why not', () => {
  fc.assert(
    fc.property(fc.dictionary(fc.constantFrom(...Object.keys(row)), fc.string()), (cells) => {
      const found = readPartRow(cells, mapping, 'mm');
      expect(found.ok || found.problems.length > 0).toBe(true);
    }),
  );
});
