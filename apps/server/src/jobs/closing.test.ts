import { randomUUID } from 'node:crypto';
import { CLOSING_CASES, closedAs } from '@patient-badger/core/closingCases';
import type { EntryPayload } from '@patient-badger/core/job';
import type { EntryReceipt } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import { idOf } from '../idOf.ts';
import { testServer, type TestServer } from '../testing.ts';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const APPRENTICE = 'wren';

const TAKEN_IN: EntryPayload = {
  kind: 'takenIn',
  machineId: idOf('machine', 'orchard-saw'),
  family: 'saw-oil-pump',
  complaint: 'runs dry',
  facts: {},
};

/** A job from its taking in, all of it in one breath. */
function written(by: string, payloads: readonly EntryPayload[]) {
  const jobId = randomUUID();
  return [TAKEN_IN, ...payloads].map((payload) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by, payload }));
}

// The same cases as the core's and the screen's: all three refuse alike.
test.each(CLOSING_CASES)('the server closes or refuses a saw: $name', async ({ payloads, closing, code }) => {
  const by = closing.isApprentice ? APPRENTICE : 'tobin';
  const list = written(by, [...payloads, closedAs(closing)]);
  const answer = await server.inject({ method: 'POST', url: '/api/entries', payload: list, headers: { 'x-person': by } });
  const receipts = answer.json<EntryReceipt[]>();
  expect(receipts.slice(0, -1).map(({ status }) => status)).toEqual(payloads.map(() => 'stored').concat('stored'));
  expect(receipts.at(-1)).toMatchObject(code === undefined ? { status: 'stored' } : { status: 'refused', sentence: problemSentence(code) });
});

test('a number that a device makes up puts no closing before what stands in its way', async () => {
  for (const { payloads, closing, code } of CLOSING_CASES.filter((each) => each.code !== undefined)) {
    const by = closing.isApprentice ? APPRENTICE : 'tobin';
    const list = written(by, [...payloads, closedAs(closing)]);
    const numbered = list.map((each, i) => (i === list.length - 1 ? { ...each, seq: 1 } : each));
    const answer = await server.inject({ method: 'POST', url: '/api/entries', payload: numbered, headers: { 'x-person': by } });
    expect([code, answer.json<EntryReceipt[]>().at(-1)?.status]).toEqual([code, 'refused']);
  }
});
