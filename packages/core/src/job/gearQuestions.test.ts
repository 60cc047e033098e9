import { randomUUID } from 'node:crypto';
import type { Candidate } from '../gear/cylindrical/identifySchema.ts';
import type { Entry, EntryPayload } from './entry.ts';
import { foldJob } from './fold.ts';
import { disagreement } from '../gear/readings.ts';
import { bevelQuestion } from '../gear/bevel/question.ts';
import { wheelQuestion } from '../gear/wormWheel/question.ts';
import { comparable } from '../gear/comparable.ts';
import { meshQuestion, wearQuestion } from '../gear/cylindrical/wearQuestion.ts';

const JOB = randomUUID();
let minute = 0;
const entry = (payload: EntryPayload): Entry => ({
  id: randomUUID(),
  jobId: JOB,
  at: new Date(Date.UTC(2026, 0, 1, 8, minute++)).toISOString(),
  by: 'imke',
  payload,
});
type ReadingEntry = Extract<EntryPayload, { kind: 'dimensionRead' }>;
const read = (quantity: ReadingEntry['quantity'], value: number, more: Partial<ReadingEntry> = {}) =>
  entry({
    kind: 'dimensionRead',
    gear: 'g',
    quantity,
    reading: { value, plusMinus: 0.03 },
    instrument: 'digitalCaliper',
    entered: String(value),
    ...more,
  });
const gearOf = (...entries: Entry[]) => foldJob(JOB, entries).gears.g ?? { readings: {} };

const candidate = { teeth: 25, normalModuleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0.1 } as Candidate;

test('wear is asked for once a span was read, with the limit that was noted and the teeth that a photo misses', () => {
  expect(wearQuestion(candidate, gearOf(read('tipDiameterMm', 27)))).toBeNull();
  const limit = entry({ kind: 'limitNoted', gear: 'g', thinningMm: 0.15, source: 'sheet 4' });
  expect(wearQuestion(candidate, gearOf(read('spanMm', 7.7, { over: 3 }), read('spanMm', 7.72, { over: 3 }), limit))).toMatchObject({
    gear: { teeth: 25, profileShift: 0.1 },
    measured: { spans: [{ teeth: 3, spanMm: { value: 7.71 } }] },
    limits: { thinningMm: 0.15, source: 'sheet 4' },
  });
});

test('the smaller of gear and mate is the pinion, and only this gear is worn', () => {
  const gear = gearOf(read('centreDistanceMm', 21.1, { over: 17 }));
  expect(meshQuestion(candidate, gear, 0.05)).toMatchObject({
    pinion: { teeth: 17, toothThinningMm: 0 },
    wheel: { teeth: 25, profileShift: 0.1, toothThinningMm: 0.05 },
    centreDistanceMm: 21.1,
  });
  expect(meshQuestion(candidate, gearOf(), 0)).toBeNull();
});

test('a bevel is asked for with the teeth of both, as pinion or as wheel', () => {
  const [tip, own] = [read('tipDiameterMm', 27.6), read('teeth', 12)];
  expect(bevelQuestion(gearOf(tip, own))).toBeNull();
  expect(bevelQuestion(gearOf(tip, own, read('mateTeeth', 24)))).toMatchObject({
    pinionTeeth: 12,
    measurements: { pinionTipDiameterMm: { value: 27.6 } },
  });
  expect(bevelQuestion(gearOf(tip, own, read('mateTeeth', 9)))).toMatchObject({
    wheelTeeth: 12,
    measurements: { wheelTipDiameterMm: { value: 27.6 } },
  });
  expect(wheelQuestion(gearOf(tip, own))).toMatchObject({ teeth: 12, measurements: { throatDiameterMm: { value: 27.6 } } });
});

test('a gear laid beside keeps its readings apart, and both can be compared', () => {
  const gear = gearOf(read('faceWidthMm', 10), read('faceWidthMm', 12, { piece: 'new' }), read('spanMm', 7.6, { over: 3, piece: 'new' }));
  expect(comparable(gear.readings)).toEqual({ faceWidthMm: { value: 10, plusMinus: expect.closeTo(0.03, 9) as number } });
  expect(Object.keys(comparable(gear.beside?.new ?? {}))).toEqual(['faceWidthMm', 'spanMm/3']);
});

test('readings further apart than the instrument errs are told; of different counts they are not compared', () => {
  const of = (...list: Entry[]) => gearOf(...list).readings;
  expect(disagreement(of(read('boreDiameterMm', 10), read('boreDiameterMm', 10.05)).boreDiameterMm)).toBeNull();
  expect(disagreement(of(read('boreDiameterMm', 10), read('boreDiameterMm', 10.4)).boreDiameterMm)).toBeCloseTo(0.4, 9);
  expect(disagreement(of(read('spanMm', 7.6, { over: 3 }), read('spanMm', 10.6, { over: 4 })).spanMm)).toBeNull();
});
