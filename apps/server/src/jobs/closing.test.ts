import { randomUUID } from 'node:crypto';
import { CLOSING_CASES, closedAs } from '@patient-badger/core/closingCases';
import type { EntryPayload } from '@patient-badger/core';
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

// The same cases as the core's and the screen's: all three refuse alike.
test.each(CLOSING_CASES)('the server closes or refuses a saw: $name', async ({ payloads, closing, code }) => {
  const jobId = randomUUID();
  const by = closing.isApprentice ? APPRENTICE : 'tobin';
  const takenIn: EntryPayload = {
    kind: 'takenIn',
    machineId: idOf('machine', 'orchard-saw'),
    family: 'saw-oil-pump',
    complaint: 'runs dry',
    facts: {},
  };
  const list = [takenIn, ...payloads, closedAs(closing)].map((payload) => ({
    id: randomUUID(),
    jobId,
    at: new Date().toISOString(),
    by,
    payload,
  }));
  const answer = await server.inject({ method: 'POST', url: '/api/entries', payload: list, headers: { 'x-person': by } });
  const receipts = answer.json<EntryReceipt[]>();
  expect(receipts.slice(0, -1).map(({ status }) => status)).toEqual(payloads.map(() => 'stored').concat('stored'));
  expect(receipts.at(-1)).toMatchObject(code === undefined ? { status: 'stored' } : { status: 'refused', sentence: problemSentence(code) });
});
