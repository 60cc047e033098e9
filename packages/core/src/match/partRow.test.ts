import fc from 'fast-check';
import { guessMapping, PART_COLUMNS, readPartRow, writePartRow, type PartDraft } from './partRow.ts';
import { BORE_SHAPES, PART_TYPES } from './schema.ts';

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

const word = fc.stringMatching(/^[A-Za-z][A-Za-z0-9-]{0,12}$/);
const size = fc.integer({ min: 1, max: 40_000 }).map((value) => value / 1000);
/** Parts as a list can hold them. */
const drafts: fc.Arbitrary<PartDraft> = fc.record({
  partNumber: word,
  name: word,
  supplier: word,
  attributes: fc.tuple(fc.constantFrom(...PART_TYPES), size).chain(([type, pitch]) =>
    fc
      .record(
        {
          teeth: fc.integer({ min: 1, max: 400 }),
          starts: fc.integer({ min: 1, max: 6 }),
          pressureAngleDeg: fc.constantFrom(14.5, 20, 25),
          helixAngleDeg: fc.integer({ min: 1, max: 45 }),
          hand: fc.constantFrom('right' as const, 'left' as const),
          boreShape: fc.constantFrom(...BORE_SHAPES),
          boreDiameterMm: size,
          faceWidthMm: size,
          tipDiameterMm: size,
          material: word,
        },
        { requiredKeys: [] },
      )
      .map((rest) => ({ type, ...rest, ...(type === 'worm' ? { axialModuleMm: pitch } : { normalModuleMm: pitch }) })),
  ),
  priceMinor: fc.integer({ min: 0, max: 1_000_000 }),
  leadDays: fc.integer({ min: 0, max: 400 }),
  stock: fc.integer({ min: 0, max: 9999 }),
  claims: fc.array(word, { maxLength: 3 }),
  supersededBy: word,
  alternatives: fc.array(word, { minLength: 1, maxLength: 3 }),
});

test('what is written as a row is the same part when it is read again', () => {
  const mapping = guessMapping(Object.values(PART_COLUMNS));
  expect(mapping).toEqual(PART_COLUMNS);
  fc.assert(fc.property(drafts, (draft) => expect(readPartRow(writePartRow(draft), mapping, 'mm')).toEqual({ ok: true, draft })));
});

test('a reading is written as its value, and a pitch of a sheet in inches stays one', () => {
  const [first] = fc.sample(drafts, 1) as [PartDraft];
  const measured = { type: 'spur' as const, diametralPitch: 16, boreDiameterMm: { value: 12.01, plusMinus: 0.03 } };
  expect(writePartRow({ ...first, attributes: measured })).toMatchObject({ DP: '16', module: '', bore: '12.01' });
});
