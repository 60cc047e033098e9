import { findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import type { EntryPayload } from '../job/entry.ts';
import { jobOf } from '../job/jobOf.ts';
import type { Pack } from '../trace/pack.ts';
import { learnt } from './learnt.ts';
import { bookKey, bookLine, type BookLine } from './line.ts';
import { modelBook, type WrittenLine } from './modelBook.ts';
import { weighByBook } from './weighByBook.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const PART = '0197a000-0000-7000-8000-0000000000aa';
const ORDER = '0197a000-0000-7000-8000-000000000002';
const job = (...payloads: readonly EntryPayload[]) => jobOf(payloads.map((payload) => ['tobin', payload]));

const WORM = { type: 'worm', starts: 1, axialModuleMm: 1.25, outsideDiameterMm: 20.5 } as const;
const decided: EntryPayload = { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.97 };
const chosen: EntryPayload = {
  kind: 'partChosen',
  gear: 'worm',
  partId: PART,
  partNumber: 'QB-7701-L',
  name: 'Oil pump worm',
  probability: 0.9,
};
const order: EntryPayload = {
  kind: 'partOrdered',
  gear: 'worm',
  partId: PART,
  partNumber: 'QB-7700-K',
  name: 'Oil pump worm',
  attributes: WORM,
  supplier: 'Quernby Spares',
  priceMinor: 900,
};
const refused: EntryPayload = {
  kind: 'partRefused',
  gear: 'worm',
  order: ORDER,
  partNumber: 'QB-7700-K',
  deciding: 'boreDiameterMm',
  note: 'Too tight',
};
const fitted: EntryPayload = { kind: 'partFitted', gear: 'worm', partId: PART, partNumber: 'QB-7701-L' };
const proof = (passed: boolean): EntryPayload => ({ kind: 'proofDone', proof: pack.proofs[0]?.id ?? '', passed });
const plate: EntryPayload = { kind: 'plateRead', partNumber: 'T-9', where: 'Under the cover' };
const closed: EntryPayload = { kind: 'closed', outcome: 'repaired', found: 'worm', note: 'Warm the drum first' };

test('what was asked of sellers is known for the next job on such a machine; what an item cost says nothing of how long it takes', () => {
  const lines = learnt(
    pack,
    job(
      { kind: 'priceAsked', gear: 'worm', what: 'Worm', supplier: 'Hobdray Stores', priceMinor: 2450, leadDays: 6 },
      { kind: 'priceAsked', what: 'Seal', supplier: 'Quernby Spares', priceMinor: 310, leadDays: 2 },
      { kind: 'itemAdded', name: 'Grease', count: 1, state: 'ordered', supplier: 'Quernby Spares', priceMinor: 90 },
      closed,
    ),
    [],
  ).filter(({ kind }) => kind === 'price');
  expect(lines).toEqual([
    { kind: 'price', gear: 'worm', what: 'Worm', supplier: 'Hobdray Stores', priceMinor: 2450, leadDays: 6 },
    { kind: 'price', what: 'Seal', supplier: 'Quernby Spares', priceMinor: 310, leadDays: 2 },
  ]);
  expect(new Set(lines.map(bookKey)).size).toBe(2);
  for (const line of lines) expect(bookLine.parse(line)).toEqual(line);
});

test('photos of positions and gears go into the book with what they show, each once; those of looks do not', () => {
  const capture = pack.steps.flatMap(({ id, captures }) => captures.map((each) => ({ step: id, ...each })))[0];
  const photo = (hash: string, about: string): EntryPayload => ({ kind: 'photoTaken', hash: hash.repeat(64), about });
  const state = job(
    photo('a', `${capture?.step}/${capture?.id}`),
    photo('b', 'worm'),
    photo('b', 'worm'),
    photo('c', pack.looks[0]?.id ?? ''),
  );
  expect(learnt(pack, state, [])).toEqual([
    { kind: 'picture', hash: 'a'.repeat(64), what: expect.stringContaining(capture?.ask ?? '-') as string },
    { kind: 'picture', hash: 'b'.repeat(64), what: pack.gears.find(({ id }) => id === 'worm')?.name },
  ]);
});

test('what a speedometer was reckoned from goes into the book with its gears', () => {
  const figures = { tyre: '185/65R14', axleRatio: '3.73', cable: '1000', cablePer: 'mile', drive: '7, 8', driven: '18-24' } as const;
  const gears = { driveTeeth: 7, drivenTeeth: 20, readingErrorPercent: 1 };
  expect(learnt(pack, job({ kind: 'ratioChosen', ...gears, basis: 'x', figures }), [])).toEqual([
    { kind: 'speedometer', ...gears, figures },
  ]);
});

test('a finished job says what was wrong, what held, what was sent back, and what it read', () => {
  const state = job(
    decided,
    chosen,
    order,
    plate,
    refused,
    fitted,
    ...pack.proofs.map(({ id }) => ({ ...proof(true), proof: id }) as EntryPayload),
    closed,
  );
  // The order's own id is that of its entry, the third.
  expect(state.gears.worm?.orders?.[0]?.id).toBe(ORDER);
  const lines = learnt(pack, state, [{ gear: 'worm', attributes: WORM, probability: 0.93 }]);
  expect(lines).toEqual([
    { kind: 'fault', fault: 'worm-stripped' },
    { kind: 'gear', gear: 'worm', attributes: WORM, probability: 0.93 },
    { kind: 'partProved', gear: 'worm', partNumber: 'QB-7701-L', name: 'Oil pump worm' },
    { kind: 'partRefused', gear: 'worm', partNumber: 'QB-7700-K', deciding: 'boreDiameterMm', note: 'Too tight' },
    { kind: 'plate', partNumber: 'T-9', where: 'Under the cover' },
    { kind: 'note', text: 'Warm the drum first' },
  ]);
  for (const line of lines) expect(bookLine.parse(line)).toEqual(line);
  expect(new Set(lines.map(bookKey)).size).toBe(lines.length);
});

test('what was not proved, and what is not sure, teaches nothing', () => {
  const lines = learnt(pack, job(decided, chosen, fitted, proof(false), closed), [{ gear: 'worm', attributes: WORM, probability: 0.6 }]);
  expect(lines).toEqual([{ kind: 'note', text: 'Warm the drum first' }]);
});

const written = (source: string, line: BookLine, at = `2026-01-0${source.length}T00:00:00Z`): WrittenLine => ({ line, source, at });
const gear = (attributes: object): BookLine => bookLine.parse({ kind: 'gear', gear: 'worm', attributes, probability: 0.9 });

test('the book says what most jobs agree on, and shows where they do not', () => {
  const other = { ...WORM, axialModuleMm: 1.5 };
  const book = modelBook([written('a', gear(WORM)), written('bb', gear(WORM)), written('ccc', gear(other))]);
  expect(book.gears.worm).toEqual({ attributes: WORM, agree: 2, of: 3 });
  expect(book.contradictions).toEqual([{ gear: 'worm', differs: expect.arrayContaining(['axialModuleMm']) as string[] }]);
  // What only one of two says contradicts nothing.
  const fuller = { ...WORM, boreDiameterMm: 12 };
  expect(modelBook([written('a', gear(WORM)), written('bb', gear(fuller))]).contradictions).toEqual([]);
});

test('parts that proved themselves come first, each with what it was sent back for', () => {
  const proved = (partNumber: string): BookLine => ({ kind: 'partProved', gear: 'worm', partNumber, name: 'Worm' });
  const sentBack: BookLine = { kind: 'partRefused', gear: 'worm', partNumber: 'B', deciding: 'boreDiameterMm', note: 'tight' };
  const book = modelBook([written('a', sentBack), written('bb', proved('A')), written('ccc', proved('C')), written('dddd', proved('C'))]);
  expect(book.parts.map(({ partNumber, proved: times, refused: back }) => [partNumber, times, back.length])).toEqual([
    ['C', 2, 0],
    ['A', 1, 0],
    ['B', 0, 1],
  ]);
});

test('the order in which lines were written makes no difference', () => {
  const lines = [
    written('a', gear(WORM)),
    written('bb', { kind: 'fault', fault: 'worm-stripped' }),
    written('ccc', { kind: 'fault', fault: 'worm-stripped' }),
    written('dddd', { kind: 'plate', partNumber: 'T', where: 'x' }),
    written('eeeee', gear({ ...WORM, axialModuleMm: 1.5 })),
  ];
  fc.assert(
    fc.property(fc.shuffledSubarray(lines, { minLength: lines.length }), (list) => expect(modelBook(list)).toEqual(modelBook(lines))),
  );
});

const candidate = (axialModuleMm: number, probability: number) => ({ attributes: { ...WORM, axialModuleMm }, probability });
const attributesOf = (each: ReturnType<typeof candidate>) => each.attributes;
const inBook = { attributes: WORM, agree: 1, of: 1 };

test('the gear of the book is likelier by the rule of succession: after one job two to one', () => {
  const given = { candidates: [candidate(1.5, 0.5), candidate(1.25, 0.45)], noneOfTheseProbability: 0.05, attributesOf };
  const { candidates, agrees, noneOfTheseProbability } = weighByBook(given, inBook);
  // Worked by hand: p = 2/3; weights 0.5·1/3 = 0.16667, 0.45·(1/3 + 40·2/3) = 12.15, 0.05·1/3 = 0.016667.
  expect(candidates.map(({ attributes }) => attributes.axialModuleMm)).toEqual([1.25, 1.5]);
  expect(candidates[0]?.probability).toBeCloseTo(12.15 / 12.33333, 6);
  expect(noneOfTheseProbability).toBeCloseTo(0.0166667 / 12.33333, 6);
  expect(agrees).toBe(true);
});

test('readings that rule the book’s gear out win', () => {
  const given = { candidates: [candidate(1.5, 0.9999), candidate(1.25, 1e-7)], noneOfTheseProbability: 1e-4, attributesOf };
  const { candidates, agrees } = weighByBook(given, { attributes: WORM, agree: 9, of: 9 });
  expect(candidates[0]?.attributes.axialModuleMm).toBe(1.5);
  expect(candidates[0]?.probability).toBeGreaterThan(0.99);
  expect(agrees).toBe(false);
});

test('chances sum to 1 and those the book says nothing of keep their proportions', () => {
  const chances = fc.array(fc.double({ min: 0.001, max: 1, noNaN: true }), { minLength: 2, maxLength: 6 });
  fc.assert(
    fc.property(chances, fc.integer({ min: 1, max: 20 }), (list, agree) => {
      const sum = list.reduce((p, q) => p + q, 0.1);
      const given = { candidates: list.map((each, i) => candidate(2 + i, each / sum)), noneOfTheseProbability: 0.1 / sum, attributesOf };
      const after = weighByBook(given, { attributes: { ...WORM, axialModuleMm: 2 }, agree, of: 20 });
      const total = after.candidates.reduce((p, q) => p + q.probability, after.noneOfTheseProbability);
      expect(total).toBeCloseTo(1, 9);
      const of = (module: number) => after.candidates.find(({ attributes }) => attributes.axialModuleMm === module)?.probability ?? NaN;
      if (list.length > 2) expect(of(3) / of(4)).toBeCloseTo((list[1] ?? NaN) / (list[2] ?? NaN), 6);
    }),
  );
});
