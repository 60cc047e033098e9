import { foldJob, type Entry, type EntryPayload } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { nextMove } from './nextMove.ts';

const JOB = '0197a000-0000-7000-8000-000000000001';
const MACHINE = '0197a000-0000-7000-8000-0000000000aa';

function move(...payloads: EntryPayload[]) {
  const all: EntryPayload[] = [{ kind: 'takenIn', machineId: MACHINE, family: 'saw-oil-pump', complaint: 'dry', facts: {} }, ...payloads];
  const entries = all.map((payload, i): Entry => ({
    id: `0197a000-0000-7000-8000-${String(i).padStart(12, '0')}`,
    jobId: JOB,
    at: new Date(1e12 + i * 1000).toISOString(),
    by: 'tobin',
    payload,
  }));
  return nextMove({
    id: JOB,
    machineId: MACHINE,
    family: 'saw-oil-pump',
    entries,
    state: foldJob(JOB, entries),
    pack: findFamily('saw-oil-pump'),
  });
}

test('a fresh job asks for the cheapest useful look, with its minutes', () => {
  expect(move()).toEqual({ text: 'Next look: Rub the oil between two fingers', minutes: '30 s', to: '' });
});

test('a decided job that needs no part goes on to the way back', () => {
  expect(move({ kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.95 })).toMatchObject({
    text: expect.stringContaining('Buy nothing') as string,
    to: '/close',
  });
});

test('a decided job that needs a part goes to the gear card until one is chosen', () => {
  const decided: EntryPayload = { kind: 'decided', fault: 'worm-stripped', remedy: 'replace', probability: 0.95 };
  expect(move(decided)).toEqual({ text: 'Measure the gear', to: '/gear/worm' });
  expect(
    move(decided, { kind: 'partChosen', gear: 'worm', partId: MACHINE, partNumber: 'QB-1-K', name: 'Worm', probability: 0.9 }),
  ).toMatchObject({ to: '/close' });
});

test('strong evidence leads to the verdict', () => {
  const looks = [
    ['drum-watch-arm', 'still'],
    ['drum-tabs', 'broken'],
  ] as const;
  expect(move(...looks.map(([look, result]): EntryPayload => ({ kind: 'lookRecorded', look, result })))).toMatchObject({
    text: expect.stringMatching(/^Verdict: Drive arm/) as string,
    to: '/verdict',
  });
});
