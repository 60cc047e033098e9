import { MM_PER_INCH } from '../quantity/length.ts';
import { plain } from '../quantity/measured.ts';
import { partSizeMm } from './partSize.ts';
import { isPlain, PLAIN_QUANTITIES } from './plainParts.ts';
import { BORE_SHAPES, partAttributes, PART_TYPES, type PartAttributes } from './schema.ts';

/** What a column of a parts list can hold. */
export const PART_FIELDS = [
  'partNumber',
  'name',
  'supplier',
  'type',
  'teeth',
  'starts',
  'normalModuleMm',
  'diametralPitch',
  'pressureAngleDeg',
  'helixAngleDeg',
  'hand',
  'boreShape',
  'boreDiameterMm',
  'faceWidthMm',
  'tipDiameterMm',
  'material',
  'outsideDiameterMm',
  'shaftDiameterMm',
  'widthMm',
  'heightMm',
  'lengthMm',
  'thicknessMm',
  'wireDiameterMm',
  'coils',
  'keyWidthMm',
  'price',
  'stock',
  'leadDays',
  'fits',
  'supersededBy',
  'alternatives',
] as const;
export type PartField = (typeof PART_FIELDS)[number];

/** Which column of the file holds what; a column left out is not read. */
export type ColumnMapping = Readonly<Partial<Record<PartField, string>>>;
export type PartLengthUnit = 'mm' | 'inch';

/** A part as a list gives it. Lengths mm, money in minor units. */
export interface PartDraft {
  readonly partNumber: string;
  readonly name: string;
  readonly supplier: string;
  readonly attributes: PartAttributes;
  readonly priceMinor: number;
  readonly leadDays: number;
  readonly stock: number;
  readonly claims: readonly string[];
  /** Part numbers that the sheet names in its place. */
  readonly supersededBy?: string | undefined;
  readonly alternatives?: readonly string[];
}

/** What can be wrong with a cell of a list. The words live in the wording package. */
export type CellCode =
  | 'notOneNumber'
  | 'notPositive'
  | 'notWhole'
  | 'tooLarge'
  | 'notOneOf'
  | 'noPartNumber'
  | 'partNumberTooLong'
  | 'noType'
  | 'noSize'
  | 'pitchAgainstModule'
  | 'standsTwice'
  | 'anotherGear';

export interface CellProblem {
  readonly field: PartField;
  readonly given: string;
  readonly code: CellCode;
  readonly detail?: { readonly known?: readonly string[]; readonly most?: number; readonly line?: number } | undefined;
}

export type PartRowResult =
  { readonly ok: true; readonly draft: PartDraft } | { readonly ok: false; readonly problems: readonly CellProblem[] };

/** Dimensions of parts that are no gears, which a gear's row leaves empty. */
const PLAIN_FIELDS = PLAIN_QUANTITIES.filter((name) => name !== 'boreDiameterMm');
const LENGTHS: readonly PartField[] = [
  'boreDiameterMm',
  'faceWidthMm',
  'tipDiameterMm',
  ...PLAIN_FIELDS.filter((name) => name.endsWith('Mm')),
];
const COUNTS: readonly PartField[] = ['teeth', 'starts', 'stock', 'leadDays'];
const LARGEST: Readonly<Partial<Record<PartField, number>>> = {
  teeth: 5000,
  starts: 12,
  normalModuleMm: 50,
  diametralPitch: 200,
  pressureAngleDeg: 45,
  helixAngleDeg: 60,
  boreDiameterMm: 1000,
  faceWidthMm: 1000,
  tipDiameterMm: 3000,
  outsideDiameterMm: 3000,
  shaftDiameterMm: 1000,
  widthMm: 1000,
  heightMm: 1000,
  lengthMm: 100_000,
  thicknessMm: 100,
  wireDiameterMm: 100,
  coils: 1000,
  keyWidthMm: 200,
  price: 1e6,
  stock: 1e6,
  leadDays: 1000,
};

/**
 * One row of a parts list read by its columns; every cell that cannot be used is named with the reason.
 * Numbers with a point or a comma; lengths in the file's unit; an empty cell is not known, which a part
 * number, a kind, and one of module and diametral pitch must not be.
 * @example { no: 'QB-1', kind: 'spur', z: '17', m: '1,5' } → a draft with 17 teeth of module 1.5
 */
export function readPartRow(
  row: Readonly<Record<string, string | undefined>>,
  mapping: ColumnMapping,
  unit: PartLengthUnit,
): PartRowResult {
  const problems: CellProblem[] = [];
  // A mark before what would be a formula keeps spreadsheets from working it out: it is no part of the text.
  const text = (field: PartField) =>
    mapping[field] === undefined ? '' : (row[mapping[field]] ?? '').replace(/^'(?=[=+\-@\t\r\uFF1D\uFF0B\uFF20\uFF0D])/, '').trim();
  const complain = (field: PartField, code: CellCode, detail?: CellProblem['detail']) =>
    void problems.push({ field, given: text(field), code, ...(detail && { detail }) });
  const number = (field: PartField): number | undefined => {
    const given = text(field);
    if (given === '') return undefined;
    const value = Number(given.replace(/[\s€$£]/g, '').replace(',', '.'));
    if (!Number.isFinite(value)) return void complain(field, 'notOneNumber');
    if (value < 0 || (value === 0 && !['stock', 'leadDays', 'price', 'helixAngleDeg'].includes(field)))
      return void complain(field, 'notPositive');
    if (COUNTS.includes(field) && !Number.isInteger(value)) return void complain(field, 'notWhole');
    const inMm = LENGTHS.includes(field) && unit === 'inch' ? value * MM_PER_INCH : value;
    const largest = LARGEST[field] ?? Infinity;
    return inMm > largest ? void complain(field, 'tooLarge', { most: largest }) : inMm;
  };
  const oneOf = <T extends string>(field: PartField, list: readonly T[]): T | undefined => {
    const given = text(field);
    if (given === '') return undefined;
    const found = list.find((each) => each.toLowerCase() === given.toLowerCase().replace(/[\s_-]/g, ''));
    return found ?? void complain(field, 'notOneOf', { known: list });
  };

  const partNumber = text('partNumber');
  if (partNumber === '') complain('partNumber', 'noPartNumber');
  if (partNumber.length > 80) complain('partNumber', 'partNumberTooLong');
  const type = oneOf('type', PART_TYPES);
  if (text('type') === '') complain('type', 'noType', { known: PART_TYPES });
  const sized = { normalModuleMm: number('normalModuleMm'), diametralPitch: number('diametralPitch') };
  if (!isPlain(type) && text('normalModuleMm') === '' && text('diametralPitch') === '') complain('normalModuleMm', 'noSize');
  const moduleMm = partSizeMm(sized) ?? undefined;
  if (sized.diametralPitch !== undefined && !isSameSize(moduleMm, partSizeMm({ diametralPitch: sized.diametralPitch })))
    complain('diametralPitch', 'pitchAgainstModule');
  const attributes = {
    type,
    teeth: number('teeth'),
    starts: number('starts'),
    ...(type === 'worm' ? { axialModuleMm: moduleMm } : { normalModuleMm: moduleMm }),
    pressureAngleDeg: number('pressureAngleDeg'),
    helixAngleDeg: number('helixAngleDeg'),
    hand: oneOf('hand', ['right', 'left']),
    boreShape: oneOf('boreShape', BORE_SHAPES),
    boreDiameterMm: number('boreDiameterMm'),
    faceWidthMm: number('faceWidthMm'),
    tipDiameterMm: number('tipDiameterMm'),
    material: text('material') || undefined,
    ...Object.fromEntries(PLAIN_FIELDS.map((name) => [name, number(name)])),
  };
  const list = (field: PartField) =>
    text(field)
      .split(/[;|]/)
      .map((each) => each.trim())
      .filter(Boolean);
  const price = number('price');
  const [stock, leadDays] = [number('stock'), number('leadDays')];
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    draft: {
      partNumber,
      name: text('name') || partNumber,
      supplier: text('supplier') || 'not named',
      attributes: partAttributes.parse(Object.fromEntries(Object.entries(attributes).filter(([, value]) => value !== undefined))),
      priceMinor: Math.round(100 * (price ?? 0)),
      leadDays: leadDays ?? 0,
      stock: stock ?? 0,
      claims: list('fits'),
      ...(text('supersededBy') && { supersededBy: text('supersededBy') }),
      ...(text('alternatives') && { alternatives: list('alternatives') }),
    },
  };
}

/** Sizes this close are one: lists round a pitch's module to two places. */
const SAME_SIZE = 0.006;
const isSameSize = (p: number | null | undefined, q: number | null): boolean =>
  typeof p !== 'number' || q === null || Math.abs(p - q) <= SAME_SIZE * q;

/** Words that lists put over their columns. */
const HEADINGS: Readonly<Record<PartField, RegExp>> = {
  partNumber: /^(part ?(no|number|nr)?\.?|no\.?|number|sku|article|code)$/i,
  name: /^(name|description|title)$/i,
  supplier: /^(supplier|vendor|seller|from)$/i,
  type: /^(type|kind|gear type)$/i,
  teeth: /^(teeth|z|tooth count|no\.? of teeth)$/i,
  starts: /^starts?$/i,
  normalModuleMm: /^(module|m|mod|normal module|module mm)$/i,
  diametralPitch: /^(dp|diametral pitch|pitch dp)$/i,
  pressureAngleDeg: /^(pressure angle|pa|angle)( deg)?$/i,
  helixAngleDeg: /^(helix|helix angle)( deg)?$/i,
  hand: /^hand$/i,
  boreShape: /^(bore shape|shape)$/i,
  boreDiameterMm: /^(bore|bore mm|bore diameter|bore in)$/i,
  faceWidthMm: /^(face|face width|width|face mm|face in|width mm)$/i,
  tipDiameterMm: /^(tip|od|outside diameter|tip diameter|tip mm)$/i,
  material: /^material$/i,
  outsideDiameterMm: /^outer diameter$/i,
  shaftDiameterMm: /^shaft( diameter)?$/i,
  widthMm: /^(overall width|bearing width|seal width)$/i,
  heightMm: /^height$/i,
  lengthMm: /^length$/i,
  thicknessMm: /^thickness$/i,
  wireDiameterMm: /^wire( diameter)?$/i,
  coils: /^coils$/i,
  keyWidthMm: /^key width$/i,
  price: /^(price|cost|eur)$/i,
  stock: /^(stock|qty|quantity|in stock)$/i,
  leadDays: /^(lead|lead days|lead time|days)$/i,
  fits: /^(fits|fits model|models|machine)$/i,
  supersededBy: /^(superseded by|replaced by|successor)$/i,
  alternatives: /^(alternatives?|or)$/i,
};

/** A first guess at which column holds what, by its heading. */
export function guessMapping(headings: readonly string[]): ColumnMapping {
  const pairs = PART_FIELDS.flatMap((field) => {
    const column = headings.find((each) => HEADINGS[field].test(each.trim().replace(/[_-]/g, ' ')));
    return column === undefined ? [] : [[field, column] as const];
  });
  return Object.fromEntries(pairs);
}

/** The heading that each column is given when a list is written; `guessMapping` knows them all again. */
export const PART_COLUMNS: Readonly<Record<PartField, string>> = {
  partNumber: 'part no',
  name: 'name',
  supplier: 'supplier',
  type: 'kind',
  teeth: 'teeth',
  starts: 'starts',
  normalModuleMm: 'module',
  diametralPitch: 'DP',
  pressureAngleDeg: 'pressure angle',
  helixAngleDeg: 'helix',
  hand: 'hand',
  boreShape: 'bore shape',
  boreDiameterMm: 'bore',
  faceWidthMm: 'face width',
  tipDiameterMm: 'tip diameter',
  material: 'material',
  outsideDiameterMm: 'outer diameter',
  shaftDiameterMm: 'shaft',
  widthMm: 'overall width',
  heightMm: 'height',
  lengthMm: 'length',
  thicknessMm: 'thickness',
  wireDiameterMm: 'wire',
  coils: 'coils',
  keyWidthMm: 'key width',
  price: 'price',
  stock: 'stock',
  leadDays: 'lead days',
  fits: 'fits',
  supersededBy: 'superseded by',
  alternatives: 'alternatives',
};

/**
 * A part as a row of a list, by the headings of `PART_COLUMNS`; read again by `readPartRow` it is the same
 * draft. Lengths mm. What a list has no column for is left out: the JSON export keeps it.
 */
export function writePartRow(draft: PartDraft): Readonly<Record<string, string>> {
  const { attributes: given, claims, alternatives = [] } = draft;
  const pitch = given.axialModuleMm ?? given.normalModuleMm;
  const cells: Readonly<Record<PartField, unknown>> = {
    partNumber: draft.partNumber,
    name: draft.name,
    supplier: draft.supplier,
    type: given.type,
    teeth: given.teeth,
    starts: given.starts,
    normalModuleMm: plain(pitch),
    diametralPitch: pitch === undefined ? given.diametralPitch : undefined,
    pressureAngleDeg: plain(given.pressureAngleDeg),
    helixAngleDeg: plain(given.helixAngleDeg),
    hand: given.hand,
    boreShape: given.boreShape,
    boreDiameterMm: plain(given.boreDiameterMm),
    faceWidthMm: plain(given.faceWidthMm),
    tipDiameterMm: plain(given.tipDiameterMm),
    material: given.material,
    ...(Object.fromEntries(PLAIN_FIELDS.map((name) => [name, plain(given[name])])) as Record<(typeof PLAIN_FIELDS)[number], unknown>),
    price: (draft.priceMinor / 100).toFixed(2),
    stock: draft.stock,
    leadDays: draft.leadDays,
    fits: claims.join('; '),
    supersededBy: draft.supersededBy,
    alternatives: alternatives.join('; '),
  };
  return Object.fromEntries(PART_FIELDS.map((field) => [PART_COLUMNS[field], cells[field] === undefined ? '' : String(cells[field])]));
}
