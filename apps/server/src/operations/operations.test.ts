import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { PartMatch, Problem } from '@patient-badger/contract';
import { PROBLEM_CODES } from '@patient-badger/contract';
import { problemSentence } from '@patient-badger/wording';
import { operations } from './operations.ts';
import { PROBLEM_STATUS } from '../problems.ts';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(30_000);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const post = (url: string, payload: object) => server.inject({ method: 'POST', url, payload });

test('every operation answers over HTTP as it does when called, and stands in the OpenAPI document', async () => {
  const document = (await server.inject('/api/openapi.json')).json<{ openapi: string; paths: Record<string, unknown> }>();
  expect(document.openapi).toBe('3.1.0');
  for (const { name } of operations.list) expect(Object.keys(document.paths)).toContain(`/api/operations/${name}`);
  const input = { starts: 2, wheelTeeth: 31, axialModuleMm: 1.25, wormPitchDiameterMm: 18 };
  const answer = await post('/api/operations/gear.worm.dimensions', input);
  expect(answer.json()).toEqual(operations.run('gear.worm.dimensions', input));
});

test('a heavy sum is worked out on a thread: the same answer, the same refusal, and others are answered meanwhile', async () => {
  const input = {
    inputTurns: { value: 12.3, plusMinus: 0.1 },
    outputTurns: { value: 1, plusMinus: 0.01 },
    stages: 2,
    teethRange: [1, 200],
  } as const;
  // The first asker waits for the threads to start as well, which can outlast the deadline where the machine is busy.
  await post('/api/operations/ratio.infer', input);
  const answer = await post('/api/operations/ratio.infer', input);
  expect(answer.headers['content-type']).toBe('application/json; charset=utf-8');
  expect(answer.json()).toEqual(operations.run('ratio.infer', input));
  const refused = await post('/api/operations/ratio.infer', { ...input, outputTurns: { value: 0, plusMinus: 0.1 } });
  expect([refused.statusCode, refused.json<Problem>().path]).toEqual([422, 'outputTurns']);
  const order: string[] = [];
  // Long enough that all are asked before one is done, and short enough that the last waits less than the deadline on a slow machine.
  const sum = { ...input, teethRange: [1, 80], worm: true, most: 200 };
  const many = Promise.all(Array.from({ length: 30 }, () => post('/api/operations/ratio.infer', sum)));
  await Promise.all([many.then(() => order.push('sums')), server.inject('/api/health').then(() => order.push('health'))]);
  expect(order).toEqual(['health', 'sums']);
  // Two at work, twenty waiting; who comes after is told so at once.
  const answers = await many;
  expect(answers.map(({ statusCode }) => statusCode).filter((each) => each === 200)).toHaveLength(22);
  expect(answers.find(({ statusCode }) => statusCode !== 200)?.json<Problem>().code).toBe('operationBusy');
});

test('an operation refuses over HTTP with the path and the sentence', async () => {
  const answer = await post('/api/operations/gear.worm.dimensions', { starts: 0, wheelTeeth: 31, axialModuleMm: 1, diameterQuotient: 10 });
  expect([answer.statusCode, answer.json<Problem>()]).toEqual([
    422,
    { code: 'notPositive', path: 'starts', sentence: 'The number of starts must be more than zero. You gave 0.' },
  ]);
  expect((await post('/api/operations/gear.cube', {})).json<Problem>().path).toBe('op');
  const broken = await server.inject({
    method: 'POST',
    url: '/api/operations/match.fit',
    payload: '{"wanted":',
    headers: { 'content-type': 'application/json' },
  });
  expect([broken.statusCode, broken.json<Problem>().sentence]).toEqual([400, problemSentence('invalidInput')]);
});

test('parts come best first; near-misses come after, liars say which dimension gives them away', async () => {
  const wanted = {
    type: 'worm',
    starts: 1,
    axialModuleMm: 1,
    pitchDiameterMm: { value: 18, plusMinus: 0.08 },
    hand: 'right',
    boreShape: 'round',
    boreDiameterMm: { value: 12, plusMinus: 0.03 },
    faceWidthMm: { value: 9, plusMinus: 0.03 },
  };
  const found = (await post('/api/parts/search', { wanted, machineModel: 'Tovelund T5-46', limit: 30 })).json<PartMatch[]>();
  const chances = found.map(({ fit }) => fit.probability);
  expect(chances).toEqual([...chances].sort((p, q) => q - p));
  expect(found[0]?.fit.attributes.every(({ state }) => state === 'fits')).toBe(true);
  expect(found.filter(({ fit }) => fit.contradiction).map(({ fit }) => fit.contradiction)).toEqual(
    expect.arrayContaining(['axialModuleMm', 'starts', 'faceWidthMm', 'boreDiameterMm']),
  );
  expect((await post('/api/parts/search', { wanted: { boreDiameterMm: -3 } })).statusCode).toBe(400);
});

test('the demo world is all there', async () => {
  const count = async (table: string) =>
    Number((await server.dataSource.query<{ count: string }[]>(`SELECT count(*) FROM ${table}`))[0]?.count);
  expect(await count('parts')).toBe(2706);
  expect(await count('machines')).toBeGreaterThanOrEqual(5);
  expect(await count('people')).toBe(3);
});

test('every refusal the server can give is in the docs, and no other', async () => {
  const page = await readFile(join(process.cwd(), 'docs/errors.md'), 'utf8');
  const listed = [...page.matchAll(/^\| `(\w+)` *\| (\d+) *\| (.+?) *\|$/gm)].map(([, code, status, words]) => [
    code,
    Number(status),
    words,
  ]);
  expect(listed).toEqual(PROBLEM_CODES.map((code) => [code, PROBLEM_STATUS[code], problemSentence(code)]));
});

test('with the database stopped every call gets a sentence, and the next one works when it is back', async () => {
  const own = await testServer();
  await own.dataSource.destroy();
  const answer = await own.inject('/api/jobs');
  expect([answer.statusCode, answer.json<Problem>()]).toEqual([503, { code: 'databaseAway', sentence: problemSentence('databaseAway') }]);
  await own.dataSource.initialize();
  expect((await own.inject('/api/jobs')).statusCode).toBe(200);
  await own.stop();
});
