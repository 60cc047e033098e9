import { sampled } from '@patient-badger/core/testing';
import { readFileSync } from 'node:fs';
import { PHONE, start, WIDE, type Stage } from './stage.ts';
import { walk, WALKS } from './walks.ts';
import type { WalkCounts } from './walking.ts';

jest.setTimeout(300_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

/** Of the twelve so many with each commit, others with another; all of them at both sizes by `npm run walks`. */
const WALKED = 3;
const BEFORE = (JSON.parse(readFileSync('e2e/walksBefore.json', 'utf8')) as { walks: Readonly<Record<string, WalkCounts>> }).walks;
/** Which looks are advised hangs on what the shop has learnt, and with them what is confirmed before them. */
const HANGS_ON_ADVICE: readonly string[] = ['lookRecorded', 'cautionAcknowledged'];
/** Set and proved is what the work touches, and no longer all that a family has: one less of each at most. */
const OF_THE_WORK: readonly string[] = ['settingMade', 'proofDone'];
/** Two of them went by an address that was typed, where now a press leads. */
const WENT_BY_ADDRESS = 2;

test.each(sampled(WALKS, WALKED).map((asked, i) => ({ asked, name: asked.id, size: i === 0 ? WIDE : PHONE })))(
  '$name: from take-in to closed record, with no more presses than before there was one walk, and no less on record',
  async ({ asked, size }) => {
    const { presses, fields, records } = await walk(stage, asked, size);
    const once = BEFORE[asked.id];
    console.log(`${asked.id}: ${presses} presses (${once?.presses} before), ${fields} fields (${once?.fields})`);
    const kept = Object.entries(once?.records ?? {}).filter(([kind]) => !HANGS_ON_ADVICE.includes(kind));
    expect(kept.length).toBeGreaterThan(0);
    expect(kept.filter(([kind, n]) => (records[kind] ?? 0) < n - Number(OF_THE_WORK.includes(kind)))).toEqual([]);
    expect(presses).toBeLessThanOrEqual((once?.presses ?? 0) + WENT_BY_ADDRESS);
  },
);
