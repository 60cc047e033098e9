import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import { bearsOnMove, benchMove, MOVE_KINDS, nextMove } from './benchMove.ts';
import type { Entry, EntryPayload } from './entry.ts';
import { foldJob } from './fold.ts';

const JOB = '0197a000-0000-7000-8000-000000000001';
const MACHINE = '0197a000-0000-7000-8000-0000000000aa';
const pack = findFamily('saw-oil-pump') as Pack;

function move(...payloads: EntryPayload[]) {
  const all: EntryPayload[] = [{ kind: 'takenIn', machineId: MACHINE, family: 'saw-oil-pump', complaint: 'dry', facts: {} }, ...payloads];
  const entries = all.map((payload, i): Entry => ({
    id: `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`,
    jobId: JOB,
    at: new Date(1e12 + i * 1000).toISOString(),
    by: 'tobin',
    payload,
  }));
  return benchMove.parse(nextMove(foldJob(JOB, entries), pack));
}
const decided: EntryPayload = { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.95 };
const reading = { value: 19.95, plusMinus: 0.03 };

test('a fresh job asks for the cheapest useful look, with its minutes', () => {
  expect(move()).toEqual({ kind: 'look', name: 'Rub the oil between two fingers', minutes: 0.5 });
});

test('a decided job that needs no part goes on to what sets it right', () => {
  expect(move({ kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.95 })).toMatchObject({
    kind: 'setRight',
    remedy: 'Worm, housing and passage cleaned',
    minutes: 10,
  });
});

test('a decided job that needs a part: measure, find the part, then set it right once one is chosen or written down', () => {
  expect(move(decided)).toEqual({ kind: 'measure', gear: 'worm' });
  const read: EntryPayload = {
    kind: 'dimensionRead',
    gear: 'worm',
    quantity: 'tipDiameterMm',
    reading,
    instrument: 'digitalCaliper',
    entered: '19.95',
  };
  expect(move(decided, read)).toEqual({ kind: 'findPart', gear: 'worm' });
  const chosen: EntryPayload = { kind: 'partChosen', gear: 'worm', partId: MACHINE, partNumber: 'QB-1-K', name: 'Worm', probability: 0.9 };
  expect(move(decided, chosen).kind).toBe('setRight');
  expect(move(decided, { kind: 'remark', text: 'worm of a donor', gear: 'worm' }).kind).toBe('setRight');
});

test('what came is measured before anything else, what is on its way is waited for, and what went back is looked for again', () => {
  const chosen: EntryPayload = { kind: 'partChosen', gear: 'worm', partId: MACHINE, partNumber: 'QB-1-K', name: 'Worm', probability: 0.9 };
  const order: EntryPayload = {
    kind: 'partOrdered',
    gear: 'worm',
    partId: MACHINE,
    partNumber: 'QB-1-K',
    name: 'Worm',
    supplier: 'Quernby',
    attributes: { starts: 1 },
  };
  const id = '0197a000-0000-7000-8000-000000000003';
  const came: EntryPayload = { kind: 'partArrived', gear: 'worm', order: id };
  expect(move(decided, chosen, order)).toEqual({ kind: 'waitForPart', name: 'Worm' });
  expect(move(decided, chosen, order, came)).toEqual({ kind: 'receive', gear: 'worm' });
  const refused: EntryPayload = { kind: 'partRefused', gear: 'worm', order: id, partNumber: 'QB-1-K', deciding: 'starts', note: 'two' };
  expect(move(decided, chosen, order, came, refused)).toEqual({ kind: 'measure', gear: 'worm' });
  expect(move(decided, chosen, order, came, { kind: 'partAccepted', gear: 'worm', order: id, partNumber: 'QB-1-K' }).kind).toBe('setRight');
  const seal: EntryPayload = { kind: 'itemAdded', name: 'Lip seal', count: 1, state: 'ordered' };
  const clean: EntryPayload = { kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.95 };
  expect(move(clean, seal)).toEqual({ kind: 'waitForPart', name: 'Lip seal' });
  expect(move(clean, seal, { kind: 'itemArrived', item: '0197a000-0000-7000-8000-000000000002' })).toEqual({ kind: 'receive', gear: null });
});

test('strong evidence leads to the verdict', () => {
  const looks = [
    ['drum-watch-arm', 'still'],
    ['drum-tabs', 'broken'],
  ] as const;
  expect(move(...looks.map(([look, result]): EntryPayload => ({ kind: 'lookRecorded', look, result })))).toMatchObject({
    kind: 'verdict',
    fault: expect.stringMatching(/^Drive arm/) as string,
  });
});

test('a finished job wants nothing', () => {
  expect(move({ kind: 'closed', outcome: 'cleaned', found: 'chips' })).toEqual({ kind: 'finished' });
});

test('an entry that does not bear on the move leaves it as it is; those that do are read for it', () => {
  const gear = 'worm';
  const others: EntryPayload[] = [
    { kind: 'remark', text: 'greasy' },
    { kind: 'photoTaken', hash: 'a'.repeat(64), about: gear },
    { kind: 'handNoted', gear, hand: 'left' },
    { kind: 'cautionAcknowledged', caution: pack.cautions[0]?.id ?? '' },
    { kind: 'promised', on: '2026-12-01' },
    { kind: 'labourNoted', minutes: 5, what: 'x' },
    { kind: 'plateRead', partNumber: 'QB-1-K', where: 'lid' },
    { kind: 'proofDone', proof: pack.proofs[0]?.id ?? '', passed: true },
    { kind: 'secondChecked' },
  ];
  for (const before of [[], [decided]] as const) {
    for (const other of others) {
      expect([other.kind, bearsOnMove(other)]).toEqual([other.kind, false]);
      expect(move(...before, other)).toEqual(move(...before));
    }
  }
  expect(bearsOnMove({ kind: 'remark', text: 'of a donor', gear })).toBe(true);
  expect([decided, { kind: 'stepDone', step: 'x' } as const].every(bearsOnMove)).toBe(true);
  expect(MOVE_KINDS).toEqual(expect.arrayContaining(['remark', 'withdrawn', 'lookRecorded']));
});
