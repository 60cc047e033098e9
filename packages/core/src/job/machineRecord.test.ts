import type { Entry, EntryPayload } from './entry.ts';
import { foldJob } from './fold.ts';
import { machineRecord } from './machineRecord.ts';

const uuid = (job: number, n: number) => `0197a000-0000-7000-8000-${String(job).padStart(4, '0')}${String(n).padStart(8, '0')}`;
const PART = uuid(99, 1);

/** A job of a day in March, its entries an hour apart. */
function job(n: number, day: number, facts: Record<string, number>, ...payloads: EntryPayload[]) {
  const jobId = uuid(n, 0);
  const all: EntryPayload[] = [{ kind: 'takenIn', machineId: uuid(50, 1), family: 'f', complaint: 'c', facts }, ...payloads];
  const entries = all.map((payload, i): Entry => {
    const at = `2026-03-${String(day).padStart(2, '0')}T${String(i + 8).padStart(2, '0')}:00:00.000Z`;
    return { id: uuid(n, i + 1), jobId, at, by: 'imke', payload };
  });
  return foldJob(jobId, entries);
}
const fitted = (gear: string, partNumber: string, source?: 'shelf'): EntryPayload => ({
  kind: 'partFitted',
  gear,
  partId: PART,
  partNumber,
  ...(source && { source }),
});
const accepted = (gear: string, partNumber: string): EntryPayload => ({ kind: 'partAccepted', gear, partNumber, order: PART });

test('what a part has worked is what the meter has moved on since it went in', () => {
  const { parts } = machineRecord([
    job(2, 20, { hours: 260 }, { kind: 'remark', text: 'oil' }),
    job(1, 1, { hours: 200, distanceKm: 10 }, fitted('worm', 'QB-1')),
  ]);
  expect(parts).toMatchObject([{ partNumber: 'QB-1', state: 'fitted', hours: 200, workedHours: 60, km: 10, workedKm: 0 }]);
});

test('a meter that stands lower than before makes no part younger than new', () => {
  const { parts } = machineRecord([job(1, 1, { hours: 200 }, fitted('worm', 'QB-1')), job(2, 20, { hours: 5 })]);
  expect(parts[0]?.workedHours).toBe(0);
});

test('accepted and fitted is one part; accepted alone is on record as not noted as fitted', () => {
  const { parts } = machineRecord([job(1, 1, {}, accepted('worm', 'QB-1'), fitted('worm', 'QB-1'), accepted('wheel', 'QB-2'))]);
  expect(parts.map(({ gear, state }) => `${gear} ${state}`)).toEqual(['wheel accepted', 'worm fitted']);
});

test('the same gear a second time is pointed out, newest first; a donor is known as one', () => {
  const record = machineRecord([job(1, 1, {}, fitted('nylon', 'QB-1')), job(2, 9, {}, fitted('nylon', 'Donor', 'shelf'))]);
  expect(record.again).toEqual([{ gear: 'nylon', times: 2 }]);
  expect(record.parts.map(({ partNumber, fromShelf }) => [partNumber, fromShelf])).toEqual([
    ['Donor', true],
    ['QB-1', false],
  ]);
});

test('a plate read twice is one plate, where it was last seen', () => {
  const plate = (where: string): EntryPayload => ({ kind: 'plateRead', partNumber: 'QB-7', where });
  const { plates } = machineRecord([job(1, 1, {}, plate('under the seat')), job(2, 2, {}, plate('behind the flap'))]);
  expect(plates.map(({ where }) => where)).toEqual(['behind the flap']);
});

test('a machine without jobs has an empty record', () => {
  expect(machineRecord([])).toEqual({ parts: [], plates: [], intervals: [], jobs: [], again: [] });
});

test('what the machine wants again: the last word on each thing, from all its jobs', () => {
  const again = (what: string, days: number): EntryPayload => ({ kind: 'intervalSet', what, every: { days } });
  const record = machineRecord([job(2, 20, {}, again('Grease', 60)), job(1, 3, {}, again('Grease', 90), again('Oil', 365))]);
  expect(record.intervals.map(({ what, every }) => [what, every.days])).toEqual([
    ['Oil', 365],
    ['Grease', 60],
  ]);
});
