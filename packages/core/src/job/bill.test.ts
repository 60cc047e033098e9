import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import { jobBill } from './bill.ts';
import type { EntryPayload, Payload } from './entry.ts';
import { jobOf } from './jobOf.ts';

const pack = findFamily('auger-gearbox') as Pack;
const PART = '0197a000-0000-7000-8000-0000000000aa';
const id = (n: number) => `0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const after = (...payloads: EntryPayload[]) => jobOf(payloads.map((payload) => ['tobin', payload]));
const RATE = 6000;
const order = (priceMinor?: number): Payload<'partOrdered'> => ({
  kind: 'partOrdered',
  gear: 'wheel',
  partId: PART,
  partNumber: 'QB-1',
  name: 'Wheel',
  supplier: 'Quernby',
  attributes: { teeth: 20 },
  ...(priceMinor !== undefined && { priceMinor }),
});
const item = (more: Partial<Payload<'itemAdded'>> = {}): Payload<'itemAdded'> => ({
  kind: 'itemAdded',
  name: 'Lip seal',
  count: 2,
  state: 'ordered',
  type: 'seal',
  priceMinor: 450,
  ...more,
});

test('parts and noted minutes add up at the shop’s rate', () => {
  const bill = jobBill(
    after(order(3200), item(), { kind: 'labourNoted', minutes: 50, what: 'all of it' }, { kind: 'labourNoted', minutes: 10, what: 'test' }),
    pack,
    RATE,
  );
  expect(bill).toMatchObject({
    partsMinor: 3200 + 2 * 450,
    unpriced: 0,
    minutes: 60,
    minutesNoted: true,
    labourMinor: 6000,
    totalMinor: 10_100,
  });
});

test('what was refused went back and what is only needed was not bought', () => {
  const sentBack: EntryPayload = { kind: 'partRefused', gear: 'wheel', order: id(0), partNumber: 'QB-1', deciding: 'teeth', note: 'x' };
  const bill = jobBill(
    after(order(3200), sentBack, item({ state: 'needed' }), item(), { kind: 'itemRefused', item: id(3), deciding: 'widthMm', note: 'x' }),
    pack,
    RATE,
  );
  expect([bill.lines, bill.partsMinor]).toEqual([[], 0]);
});

test('a line without a price is said, not counted as free', () => {
  expect(jobBill(after(order()), pack, RATE)).toMatchObject({ partsMinor: 0, unpriced: 1 });
});

test('a part that was ordered and fitted is one line; a donor off the shelf costs nothing unless somebody priced it', () => {
  const fitted: Payload<'partFitted'> = { kind: 'partFitted', gear: 'wheel', partId: PART, partNumber: 'QB-1' };
  expect(jobBill(after(order(3200), fitted), pack, RATE).lines).toMatchObject([{ partNumber: 'QB-1', state: 'fitted', eachMinor: 3200 }]);
  expect(jobBill(after({ ...fitted, source: 'shelf' }), pack, RATE)).toMatchObject({ partsMinor: 0, unpriced: 0 });
  expect(jobBill(after(fitted), pack, RATE).unpriced).toBe(1);
});

test('where nobody said the minutes they are those of the family for what was done', () => {
  const [look, step] = [pack.looks[0], pack.steps[0]];
  const bill = jobBill(
    after({ kind: 'lookRecorded', look: look?.id ?? '', result: 'x' }, { kind: 'stepDone', step: step?.id ?? '' }),
    pack,
    RATE,
  );
  expect(bill).toMatchObject({ minutesNoted: false, minutes: (look?.minutes ?? NaN) + (step?.minutes ?? NaN) });
});
