import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { added, chosen, fitted, id, order, refused } from './entrySamples.ts';
import { jobOf } from './jobOf.ts';
import { jobSummary } from './summary.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const RATE = 6000;
const of = (lines: readonly (readonly [string, EntryPayload])[]) => jobSummary(jobOf(lines), pack, RATE);
const passed: readonly (readonly [string, EntryPayload])[] = pack.proofs
  .filter(({ phase }) => phase !== 'later')
  .map(({ id: proof }) => ['imke', { kind: 'proofDone', proof, passed: true }]);

test('a finished job leaves its fault, its parts, who worked and what it cost', () => {
  const summary = of([
    ['tobin', { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.9 }],
    ['tobin', { ...chosen, gear: 'worm' }],
    ['tobin', { ...fitted, gear: 'worm' }],
    ['tobin', { kind: 'labourNoted', minutes: 30, what: 'all of it' }],
    ['harriet', { kind: 'remark', text: 'watched' }],
    ...passed,
  ]);
  expect(summary).toMatchObject({
    fault: 'worm-stripped',
    faults: ['worm-stripped'],
    proved: true,
    failed: ['worm'],
    hands: ['imke', 'tobin'],
    fitted: [{ gear: 'worm', partNumber: 'QB-1' }],
    refused: [],
    minutesTaken: 30,
    totalMinor: 3000,
  });
});

test('what went back is bought in vain: gears and other parts, with the dimension that decided', () => {
  const {
    refused: vain,
    proved,
    minutesTaken,
  } = of([
    ['tobin', { ...order, gear: 'worm', priceMinor: 700 }],
    ['tobin', { ...refused, gear: 'worm' }],
    ['tobin', added],
    ['tobin', { kind: 'itemRefused', item: id(2), deciding: 'widthMm', note: 'too wide' }],
  ]);
  expect(vain).toEqual([
    { partNumber: 'QB-1', deciding: 'teeth', priceMinor: 700 },
    { partNumber: 'Bearing 6203', deciding: 'widthMm', priceMinor: null },
  ]);
  expect([proved, minutesTaken]).toEqual([false, null]);
});

test('a verdict that is none of the list is no fault of the family, and one found on the way is set right too', () => {
  const none = of([['tobin', { kind: 'decided', fault: 'none-of-these', remedy: 'other', note: 'a wasp', probability: 0.5 }]]);
  expect([none.fault, none.faults, none.failed]).toEqual([null, [], []]);
  const two = of([
    ['tobin', { kind: 'faultFound', fault: 'chips-packed', probability: 1 }],
    ['tobin', { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.9 }],
  ]);
  expect([two.fault, [...two.faults].sort()]).toEqual(['worm-stripped', ['chips-packed', 'worm-stripped']]);
});
