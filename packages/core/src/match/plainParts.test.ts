import { fit } from './fit.ts';
import { guessMapping, PART_COLUMNS, readPartRow, writePartRow, type PartDraft } from './partRow.ts';
import { PLAIN_DIMENSIONS, PLAIN_QUANTITIES } from './plainParts.ts';
import { receive } from './receive.ts';
import { PLAIN_TYPES, type PartAttributes } from './schema.ts';

const read = (value: number) => ({ value, plusMinus: 0.03 });
/** Boundary dimensions of single-row deep-groove ball bearings, ISO 15, dimension series 10, 02 and 03: d, D, B in mm. */
const ISO_15 = [
  [17, 35, 10],
  [17, 40, 12],
  [17, 47, 14],
  [15, 35, 11],
  [20, 47, 14],
] as const;
/** Rotary shaft lip seals, ISO 6194-1, type 1: d1, D, b in mm. */
const ISO_6194 = [
  [16, 30, 7],
  [16, 35, 7],
  [20, 35, 7],
  [20, 40, 7],
] as const;
const bearing = ([d, D, B]: readonly [number, number, number]): PartAttributes => ({
  type: 'bearing',
  boreDiameterMm: d,
  outsideDiameterMm: D,
  widthMm: B,
});
const seal = ([d, D, b]: readonly [number, number, number]): PartAttributes => ({
  type: 'seal',
  shaftDiameterMm: d,
  outsideDiameterMm: D,
  widthMm: b,
});

test.each([
  ['bearings of ISO 15', ISO_15.map(bearing)],
  ['seals of ISO 6194-1', ISO_6194.map(seal)],
])('among %s each is told from every other by a caliper, and itself is taken', (_name, list) => {
  for (const ordered of list)
    for (const other of list) {
      const arrived = Object.fromEntries(
        Object.entries(other).map(([name, value]) => [name, typeof value === 'number' ? read(value) : value]),
      );
      expect(receive({ ordered, arrived }).verdict).toBe(ordered === other ? 'accept' : 'refuse');
    }
});

test('a part that is no gear is taken once all of its few dimensions agree, and asks for the next of them', () => {
  const ordered = bearing(ISO_15[1]);
  expect(receive({ ordered, arrived: { type: 'bearing' } })).toMatchObject({ verdict: 'measureMore', deciding: 'boreDiameterMm' });
  const two = { type: 'bearing', boreDiameterMm: read(17), outsideDiameterMm: read(40) } as const;
  expect(receive({ ordered, arrived: two })).toMatchObject({ verdict: 'measureMore', deciding: 'widthMm' });
});

test('nothing is turned, opened or cut on a bearing; an axle that is too long can be cut', () => {
  const [wanted, part] = [bearing(ISO_15[0]), bearing(ISO_15[1])];
  expect(fit({ wanted: { ...wanted, boreDiameterMm: 17.5 }, part }).attributes.find(({ name }) => name === 'boreDiameterMm')?.state).toBe(
    'doesNotFit',
  );
  const axle = { type: 'axle', shaftDiameterMm: 20, lengthMm: 500 } as const;
  const fits = (lengthMm: number) => fit({ wanted: axle, part: { ...axle, lengthMm } }).attributes.find(({ name }) => name === 'lengthMm');
  expect([fits(500)?.state, fits(540)?.state, fits(460)?.state]).toEqual(['fits', 'fitsAfterWork', 'doesNotFit']);
  expect(fits(540)?.work).toBe('cutLength');
});

test('every kind goes out as a row of a list and comes in the same', () => {
  for (const type of PLAIN_TYPES) {
    const attributes = Object.fromEntries([
      ['type', type],
      ...PLAIN_DIMENSIONS[type].map((name, i) => [name, i + 2] as const),
    ]) as PartAttributes;
    const draft: PartDraft = {
      partNumber: 'QB-9',
      name: 'x',
      supplier: 'Quernby',
      attributes,
      priceMinor: 250,
      leadDays: 2,
      stock: 4,
      claims: [],
    };
    const row = writePartRow(draft);
    expect(readPartRow(row, guessMapping(Object.values(PART_COLUMNS)), 'mm')).toEqual({ ok: true, draft });
  }
});

test('a gear still has to say its size, a bearing has none', () => {
  const mapping = { partNumber: 'no', type: 'kind' };
  expect(readPartRow({ no: '1', kind: 'bearing' }, mapping, 'mm').ok).toBe(true);
  expect(readPartRow({ no: '1', kind: 'spur' }, mapping, 'mm')).toMatchObject({ ok: false, problems: [{ code: 'noSize' }] });
});

test('every dimension of a kind can be read', () => {
  expect(new Set(Object.values(PLAIN_DIMENSIONS).flat())).toEqual(new Set(PLAIN_QUANTITIES));
});
