import { fit } from './fit.ts';
import { inModules, partSizeMm } from './partSize.ts';
import { guessMapping, PART_FIELDS, readPartRow, writePartRow, type PartField } from './partRow.ts';
import { receive } from './receive.ts';
import type { AttributeName, PartAttributes } from './schema.ts';
import { isOneGear, standsIn } from './standsIn.ts';

const judged = (name: AttributeName, wanted: number | string, part: number | string, more: PartAttributes = {}) =>
  fit({ wanted: { ...more, [name]: wanted }, part: { ...more, [name]: part } }).attributes.find((each) => each.name === name);

/** The table of docs/formats.md: how far a dimension may be off and still fit, at a wanted value. */
const ALLOWED: readonly (readonly [AttributeName, wanted: number, allowed: number])[] = [
  ['axialModuleMm', 2, 0.012],
  ['normalModuleMm', 1, 0.006],
  ['pressureAngleDeg', 20, 1.5],
  ['helixAngleDeg', 15, 1],
  ['leadAngleDeg', 5, 1],
  ['pitchDiameterMm', 20, 0.16],
  ['tipDiameterMm', 20, 0.21],
  ['outsideDiameterMm', 20, 0.21],
  ['centreDistanceMm', 50, 0.18],
  ['boreDiameterMm', 12, 0.08],
  ['dFlatMm', 10, 0.1],
  ['keyWidthMm', 4, 0.05],
  ['faceWidthMm', 10, 0.35],
  ['hubDiameterMm', 20, 0.7],
  ['hubLengthMm', 8, 0.2],
];

test.each(ALLOWED)('%s of %d fits as far as %d off, and no further', (name, wanted, allowed) => {
  for (const sign of [1, -1]) {
    expect(judged(name, wanted, wanted + sign * (allowed - 0.003))).toMatchObject({
      state: 'fits',
      allowed: expect.closeTo(allowed, 9) as number,
    });
    expect(judged(name, wanted, wanted + sign * (allowed + 0.004))?.state).not.toBe('fits');
  }
});

test.each<[AttributeName, number | string, number | string]>([
  ['type', 'worm', 'spur'],
  ['starts', 1, 2],
  ['teeth', 17, 16],
  ['hand', 'left', 'right'],
  ['boreShape', 'round', 'key'],
  ['splineTeeth', 6, 8],
  ['mateTeeth', 30, 31],
])('%s fits only as it is', (name, wanted, other) => {
  expect(judged(name, wanted, wanted)).toMatchObject({ state: 'fits', probability: 0.995 });
  const off = judged(name, wanted, other);
  expect(off).toMatchObject({ state: 'doesNotFit', probability: expect.closeTo(0.005, 9) as number });
  expect(off?.difference).toBe(typeof wanted === 'number' ? (other as number) - wanted : undefined);
});

/** Work that makes a part fit, with the words for it, and how far it goes. */
test.each<[AttributeName, number, number, string]>([
  ['boreDiameterMm', 12, 11, 'openBore'],
  ['boreDiameterMm', 12, 12.13, 'bond'],
  ['boreDiameterMm', 12, 14, 'sleeve'],
  ['faceWidthMm', 10, 12, 'narrowFace'],
  ['hubDiameterMm', 20, 21.5, 'turnHub'],
  ['hubLengthMm', 8, 10, 'shortenHub'],
  ['hubLengthMm', 8, 6, 'spacer'],
])('%s of %d against %d: %s', (name, wanted, part, work) => {
  expect(judged(name, wanted, part)).toMatchObject({
    state: 'fitsAfterWork',
    work,
    probability: 0.85,
    difference: expect.closeTo(part - wanted, 9) as number,
  });
});

test.each<[AttributeName, number, number]>([
  ['boreDiameterMm', 12, 10.4],
  ['boreDiameterMm', 12, 15.1],
  ['faceWidthMm', 10, 12.6],
  ['faceWidthMm', 10, 9],
  ['hubDiameterMm', 20, 22.1],
  ['hubLengthMm', 8, 11.1],
  ['hubLengthMm', 8, 4.9],
])('%s of %d against %d is past all work', (name, wanted, part) => expect(judged(name, wanted, part)?.state).toBe('doesNotFit'));

test('only a round hole can be opened out or sleeved', () => {
  expect(judged('boreDiameterMm', 12, 11, { boreShape: 'round' })?.state).toBe('fitsAfterWork');
  expect(judged('boreDiameterMm', 12, 11, { boreShape: 'key' })?.state).toBe('doesNotFit');
});

test('what nobody measured counts as often as it is right, and material only where it is asked for', () => {
  const { attributes, probability, deciding } = fit({ wanted: { teeth: 17, material: 'steel' }, part: { faceWidthMm: 10 } });
  expect(attributes.map(({ name, state, probability: p, work }) => [name, state, p, work])).toEqual([
    ['teeth', 'unknown', 0.3, 'measure'],
    ['faceWidthMm', 'unknown', 0.6, 'measure'],
    ['material', 'unknown', 0.95, 'lookAt'],
  ]);
  expect(probability).toBeCloseTo(0.3 * 0.6 * 0.95, 9);
  expect(deciding).toBe('teeth');
  expect(fit({ wanted: { teeth: 17 }, part: { teeth: 17, material: 'brass' } }).attributes.map(({ name }) => name)).toEqual(['teeth']);
  expect(fit({ wanted: { material: 'steel' }, part: { material: 'brass' } }).attributes[0]).toMatchObject({
    state: 'fitsAfterWork',
    probability: 0.6,
  });
  expect(fit({ wanted: { material: 'steel' }, part: { material: 'steel' } })).toMatchObject({ probability: 0.995, deciding: null });
});

test('a claim that a dimension contradicts is shown, and only for this machine', () => {
  const asked = { wanted: { teeth: 17 }, part: { teeth: 16 }, claims: ['Wall 9'] };
  expect(fit({ ...asked, machine: 'Wall 9' }).contradiction).toBe('teeth');
  expect(fit({ ...asked, machine: 'Wall 8' }).contradiction).toBeUndefined();
  expect(fit({ ...asked, part: { teeth: 17 }, machine: 'Wall 9' }).contradiction).toBeUndefined();
});

test('a size is one whichever way it is said: m = 25.4 / DP', () => {
  expect(partSizeMm({ diametralPitch: 24 })).toBeCloseTo(1.058333, 6);
  expect([partSizeMm({ normalModuleMm: { value: 1.5, plusMinus: 0.01 } }), partSizeMm({ axialModuleMm: 2 }), partSizeMm({})]).toEqual([
    1.5,
    2,
    null,
  ]);
  expect(inModules({ type: 'worm', diametralPitch: 24 }, { diametralPitch: 20 })).toEqual([
    { type: 'worm', axialModuleMm: expect.closeTo(1.058333, 6) as number },
    { axialModuleMm: 1.27 },
  ]);
  expect(inModules({ teeth: 9, diametralPitch: 20 })).toEqual([{ teeth: 9, normalModuleMm: 1.27 }]);
  expect(inModules({ teeth: 9 })).toEqual([{ teeth: 9 }]);
  expect(fit({ wanted: { normalModuleMm: 1.27 }, part: { diametralPitch: 20 } }).attributes[0]).toMatchObject({
    name: 'normalModuleMm',
    state: 'fits',
  });
});

test('what stands in for a part is the same, differs, or is not known', () => {
  const part: PartAttributes = { type: 'spur', teeth: 17, faceWidthMm: 10, boreDiameterMm: 8 };
  expect(standsIn({ part, other: part })).toEqual({ verdict: 'same', differs: [], unknown: [] });
  const other = standsIn({ part, other: { ...part, teeth: 16, boreDiameterMm: 7 } });
  expect([other.verdict, other.differs.map(({ name }) => name)]).toEqual(['differs', ['teeth', 'boreDiameterMm']]);
  const { faceWidthMm: _, ...less } = part;
  expect(standsIn({ part, other: less })).toEqual({ verdict: 'notKnown', differs: [], unknown: ['faceWidthMm'] });
  expect(standsIn({ part, other: { ...part, material: 'brass' } }).verdict).toBe('same');
  expect([isOneGear(part, part), isOneGear(part, less), isOneGear(part, { ...part, teeth: 18 })]).toEqual([true, false, false]);
});

test('a delivery is taken once all that decides agrees, refused by one that does not', () => {
  const ordered: PartAttributes = { teeth: 17, starts: 1, faceWidthMm: 10, boreDiameterMm: 8, hand: 'left', tipDiameterMm: 19 };
  const next = (arrived: PartAttributes) => receive({ ordered, arrived });
  expect(next({})).toMatchObject({ verdict: 'measureMore', deciding: 'teeth', attributes: [] });
  expect(next({ teeth: 17 })).toMatchObject({ verdict: 'measureMore', deciding: 'starts' });
  expect(next({ teeth: 17, starts: 1 })).toMatchObject({ verdict: 'measureMore', deciding: 'faceWidthMm' });
  expect(next({ teeth: 17, starts: 1, faceWidthMm: 10.1 })).toMatchObject({ verdict: 'measureMore', deciding: 'boreDiameterMm' });
  const rest = { teeth: 17, starts: 1, faceWidthMm: 10.1, boreDiameterMm: 8, hand: 'left' } as const;
  expect(next({ ...rest, tipDiameterMm: 19 })).toMatchObject({ verdict: 'accept', deciding: null });
  expect(next({ teeth: 17, starts: 1, faceWidthMm: 12 })).toMatchObject({ verdict: 'refuse', deciding: 'faceWidthMm', difference: 2 });
  expect(next({ hand: 'right' })).not.toHaveProperty('difference');
  expect(next({ hand: 'right' })).toMatchObject({ verdict: 'refuse', deciding: 'hand' });
  // What the order says nothing of decides nothing.
  expect(receive({ ordered: { teeth: 17 }, arrived: { teeth: 17, boreDiameterMm: 99 } })).toMatchObject({
    verdict: 'accept',
    attributes: [{ name: 'teeth' }],
  });
});

/** Headings as lists have them, and near ones that mean something else. */
const HEADINGS: Readonly<Record<PartField, readonly [known: readonly string[], other: readonly string[]]>> = {
  partNumber: [
    ['part no', 'Part Number', 'no.', 'SKU', 'article', 'code', 'part-nr'],
    ['parts', 'code of supplier', 'old no'],
  ],
  name: [
    ['name', 'Description', 'title'],
    ['file name', 'names'],
  ],
  supplier: [
    ['supplier', 'vendor', 'seller', 'from'],
    ['from date', 'no supplier'],
  ],
  type: [
    ['type', 'kind', 'gear type'],
    ['types', 'bore type'],
  ],
  teeth: [
    ['teeth', 'z', 'tooth count', 'no. of teeth'],
    ['zz', 'mate teeth'],
  ],
  starts: [
    ['start', 'starts'],
    ['start date', 'restart'],
  ],
  normalModuleMm: [
    ['module', 'm', 'mod', 'normal module', 'module mm'],
    ['mm', 'modules'],
  ],
  diametralPitch: [
    ['dp', 'diametral pitch', 'pitch dp'],
    ['dpi', 'pitch'],
  ],
  pressureAngleDeg: [
    ['pressure angle', 'pa', 'angle deg'],
    ['spa', 'angles'],
  ],
  helixAngleDeg: [
    ['helix', 'helix angle deg'],
    ['double helix', 'helix hand'],
  ],
  hand: [['hand'], ['handle', 'left hand']],
  boreShape: [
    ['bore shape', 'shape'],
    ['shapes', 'tooth shape'],
  ],
  boreDiameterMm: [
    ['bore', 'bore mm', 'bore diameter', 'bore in'],
    ['bores', 'full bore'],
  ],
  faceWidthMm: [
    ['face', 'face width', 'width', 'face mm', 'face in', 'width mm'],
    ['surface', 'widths'],
  ],
  tipDiameterMm: [
    ['tip', 'od', 'outside diameter', 'tip diameter', 'tip mm'],
    ['tips', 'rod'],
  ],
  material: [['material'], ['materials', 'raw material']],
  outsideDiameterMm: [['outer diameter'], ['outside diameter', 'od']],
  shaftDiameterMm: [
    ['shaft', 'shaft diameter'],
    ['shafts', 'on shaft'],
  ],
  widthMm: [['overall width', 'bearing width', 'seal width'], ['width']],
  heightMm: [['height'], ['heights']],
  lengthMm: [['length'], ['hub length']],
  thicknessMm: [['thickness'], ['tooth thickness']],
  wireDiameterMm: [['wire', 'wire diameter'], ['wires']],
  coils: [['coils'], ['coil']],
  keyWidthMm: [['key width'], ['key']],
  price: [
    ['price', 'cost', 'eur'],
    ['prices', 'list price'],
  ],
  stock: [
    ['stock', 'qty', 'quantity', 'in stock'],
    ['stocks', 'out of stock'],
  ],
  leadDays: [
    ['lead', 'lead days', 'lead time', 'days'],
    ['leads', 'old lead'],
  ],
  fits: [
    ['fits', 'fits model', 'models', 'machine'],
    ['outfits', 'machines'],
  ],
  supersededBy: [
    ['superseded by', 'replaced by', 'successor'],
    ['successors', 'was replaced by'],
  ],
  alternatives: [
    ['alternative', 'alternatives', 'or'],
    ['for', 'orr'],
  ],
};

test.each(PART_FIELDS)('a column of %s is known by its headings, and only by those', (field) => {
  const [known, other] = HEADINGS[field];
  for (const heading of known) expect(guessMapping([heading, 'x'])).toEqual({ [field]: heading });
  for (const heading of other) expect(guessMapping([heading])[field]).toBeUndefined();
});

describe('a cell that cannot be used', () => {
  const mapping = Object.fromEntries(PART_FIELDS.map((each) => [each, each]));
  const sound = { partNumber: 'QB-1', type: 'spur', teeth: '17', normalModuleMm: '1' };
  const wrong = (row: Record<string, string>) => {
    const found = readPartRow({ ...sound, ...row }, mapping, 'mm');
    return found.ok ? [] : found.problems.map(({ field, code, detail }) => [field, code, ...(detail ? [detail] : [])]);
  };

  test.each<[Record<string, string>, unknown]>([
    [{ teeth: 'many' }, ['teeth', 'notOneNumber']],
    [{ teeth: '1 2' }, []],
    [{ teeth: '0' }, ['teeth', 'notPositive']],
    [{ boreDiameterMm: '-3' }, ['boreDiameterMm', 'notPositive']],
    [{ stock: '-1' }, ['stock', 'notPositive']],
    [{ teeth: '17.5' }, ['teeth', 'notWhole']],
    [{ leadDays: '1,5' }, ['leadDays', 'notWhole']],
    [{ boreDiameterMm: '1001' }, ['boreDiameterMm', 'tooLarge', { most: 1000 }]],
    [{ teeth: '5001' }, ['teeth', 'tooLarge', { most: 5000 }]],
    [{ starts: '13' }, ['starts', 'tooLarge', { most: 12 }]],
    [{ pressureAngleDeg: '46' }, ['pressureAngleDeg', 'tooLarge', { most: 45 }]],
    [{ helixAngleDeg: '61' }, ['helixAngleDeg', 'tooLarge', { most: 60 }]],
    [{ price: '1000001' }, ['price', 'tooLarge', { most: 1e6 }]],
    [{ hand: 'both' }, ['hand', 'notOneOf', { known: ['right', 'left'] }]],
    [{ partNumber: '' }, ['partNumber', 'noPartNumber']],
    [{ partNumber: 'x'.repeat(81) }, ['partNumber', 'partNumberTooLong']],
    [{ normalModuleMm: '' }, ['normalModuleMm', 'noSize']],
    [{ normalModuleMm: '1', diametralPitch: '24' }, ['diametralPitch', 'pitchAgainstModule']],
    [{ normalModuleMm: '1.06', diametralPitch: '24' }, []],
  ])('%j', (row, problem) => expect(wrong(row)).toEqual((problem as unknown[]).length === 0 ? [] : [problem]));

  test('a kind that is missing or unknown', () => {
    expect(wrong({ type: '' })).toEqual([['type', 'noType', { known: expect.arrayContaining(['worm', 'wormWheel']) as string[] }]]);
    expect(wrong({ type: 'wheel barrow' })).toEqual([['type', 'notOneOf', { known: expect.arrayContaining(['spur']) as string[] }]]);
  });

  test('nought is a stock, a price and a helix; inches and money signs are read', () => {
    const found = readPartRow(
      { ...sound, stock: '0', price: '€ 0', helixAngleDeg: '0', leadDays: '0', boreDiameterMm: '0.5', type: 'Worm_Wheel', fits: 'A | B;C' },
      mapping,
      'inch',
    );
    expect(found).toMatchObject({
      ok: true,
      draft: {
        stock: 0,
        priceMinor: 0,
        attributes: { type: 'wormWheel', helixAngleDeg: 0, boreDiameterMm: 12.7 },
        claims: ['A', 'B', 'C'],
      },
    });
  });

  test('a part is written under the headings that are read again', () => {
    const found = readPartRow(
      {
        ...sound,
        supersededBy: 'QB-2',
        alternatives: 'QB-3; QB-4',
        name: 'Pinion',
        supplier: 'Quernby',
        material: 'steel',
        price: '12.34',
      },
      mapping,
      'mm',
    );
    const draft = found.ok ? found.draft : null;
    expect(draft && writePartRow(draft)).toEqual({
      'part no': 'QB-1',
      name: 'Pinion',
      supplier: 'Quernby',
      kind: 'spur',
      teeth: '17',
      module: '1',
      material: 'steel',
      price: '12.34',
      stock: '0',
      'lead days': '0',
      'superseded by': 'QB-2',
      alternatives: 'QB-3; QB-4',
      starts: '',
      DP: '',
      'pressure angle': '',
      helix: '',
      hand: '',
      'bore shape': '',
      bore: '',
      'face width': '',
      'tip diameter': '',
      fits: '',
      'outer diameter': '',
      shaft: '',
      'overall width': '',
      height: '',
      length: '',
      thickness: '',
      wire: '',
      coils: '',
      'key width': '',
    });
  });
});
