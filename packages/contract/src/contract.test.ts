import { entryReceipt, machineDraft, part, partSearch, problem } from './index.ts';

const ID = '0197a000-0000-7000-8000-000000000001';

test('a machine needs an id, a family and a name; the rest has a sensible default', () => {
  expect(machineDraft.parse({ id: ID, family: 'saw-oil-pump', label: '  Spare saw ' })).toEqual({
    id: ID,
    family: 'saw-oil-pump',
    label: 'Spare saw',
    modelId: null,
    serial: '',
    owner: '',
    contact: '',
    facts: {},
  });
  expect(machineDraft.safeParse({ id: ID, family: 'saw-oil-pump', label: '   ' }).success).toBe(false);
  expect(machineDraft.safeParse({ id: '7', family: 'saw-oil-pump', label: 'Saw' }).success).toBe(false);
  expect(machineDraft.safeParse({ id: ID, family: 'saw-oil-pump', label: 'Saw', colour: 'red' }).success).toBe(false);
});

test('a search gives twenty parts unless told otherwise, and never more than fifty', () => {
  expect(partSearch.parse({ wanted: { type: 'worm' } }).limit).toBe(20);
  expect(partSearch.safeParse({ wanted: {}, limit: 51 }).success).toBe(false);
});

test('a part’s attributes are checked like everybody’s', () => {
  const sound = {
    id: ID,
    partNumber: 'QB-1-K',
    name: 'Worm',
    supplier: 'Q',
    attributes: { type: 'worm', boreDiameterMm: 12 },
    priceMinor: 900,
    leadDays: 2,
    stock: 1,
    claims: [],
    listings: [{ supplier: 'Hobdray Stores', priceMinor: 640, leadDays: 9, stock: 2, claims: ['Wall 9'] }],
    links: [{ kind: 'supersededBy', partNumber: 'QB-2', part: null }],
  };
  expect(part.safeParse(sound).success).toBe(true);
  expect(part.safeParse({ ...sound, attributes: { type: 'worm', boreDiameterMm: -12 } }).success).toBe(false);
  expect(part.safeParse({ ...sound, priceMinor: 9.5 }).success).toBe(false);
  expect(part.safeParse({ ...sound, links: [{ kind: 'cousin', partNumber: 'QB-2', part: null }] }).success).toBe(false);
});

test('receipts and problems carry what a screen needs', () => {
  expect(entryReceipt.safeParse({ id: ID, status: 'lost' }).success).toBe(false);
  expect(problem.safeParse({ code: 'notFound', sentence: 'There is nothing here.' }).success).toBe(true);
});
