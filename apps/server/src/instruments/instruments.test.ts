import { resultOfTurns } from '@patient-badger/core/gear';
import type { KinematicLook, Pack } from '@patient-badger/core/machine';
import type { InstrumentAnswer, JobPage, JobRow, Problem } from '@patient-badger/contract';
import { findFamily } from '@patient-badger/knowledge';
import { PNG } from 'pngjs';
import { testServer, type TestServer } from '../testing.ts';

jest.setTimeout(60_000);

let server: TestServer;
let jobs: JobRow[];
beforeAll(async () => {
  server = await testServer();
  jobs = (await server.inject('/api/jobs')).json<JobPage>().rows;
});
afterAll(() => server.stop());

const jobOf = (family: string) => jobs.find((each) => each.family === family)?.id ?? '';
const read = (payload: object) => server.inject({ method: 'POST', url: '/api/instruments/read', payload });

/** Asks until the connection holds. */
async function steady(payload: object): Promise<InstrumentAnswer> {
  for (let attempt = 0; attempt < 30; attempt++) {
    const answer = await read({ ...payload, attempt });
    if (answer.statusCode === 200) return answer.json<InstrumentAnswer>();
    expect(answer.json<Problem>().code).toBe('instrumentLost');
  }
  throw new Error('it never answered');
}

test('the drill bench on the post van drives the worm and counts nothing at the drums', async () => {
  const pack = findFamily('dash-odometer-motor') as Pack;
  const look = pack.looks.find(({ id }) => id === 'worm-watch-drums') as KinematicLook;
  const { reading } = await steady({ jobId: jobOf(pack.id), instrument: 'drillBench', look: look.id, zeroed: true });
  expect(reading).toMatchObject({ unit: 'turns', putIn: look.drive.turns });
  expect(reading && resultOfTurns(pack, look, reading)).toBe('still');
});

test('what the machine has is the same each time, the noise is not', async () => {
  const ask = { jobId: jobOf('saw-oil-pump'), instrument: 'caliper', gear: 'worm', quantity: 'tipDiameterMm', zeroed: true };
  const orchard = jobs.find(({ complaint }) => complaint.includes('windfall'));
  const answers = await Promise.all(Array.from({ length: 12 }, (_, attempt) => read({ ...ask, jobId: orchard?.id, attempt })));
  const values = answers
    .filter(({ statusCode }) => statusCode === 200)
    .map((answer) => answer.json<InstrumentAnswer>().reading?.value ?? 0);
  expect(new Set(values).size).toBeGreaterThan(1);
  for (const value of values) expect(value).toBeCloseTo(19.95, 0);
  expect(Math.max(...values) - Math.min(...values)).toBeLessThan(0.15);
});

test('a reading in inches is the same reading', async () => {
  const orchard = jobs.find(({ complaint }) => complaint.includes('windfall'));
  const ask = { jobId: orchard?.id, instrument: 'caliper', gear: 'worm', quantity: 'boreDiameterMm', zeroed: true };
  const { reading } = await steady({ ...ask, unit: 'in' });
  expect(reading).toMatchObject({ unit: 'in' });
  expect((reading?.value ?? 0) * 25.4).toBeCloseTo(12, 0);
});

test('the connection is lost now and then, and the sentence says what to do', async () => {
  const ask = { jobId: jobOf('dash-odometer-motor'), instrument: 'drillBench', look: 'worm-watch-drums' };
  const answers = await Promise.all(Array.from({ length: 80 }, (_, attempt) => read({ ...ask, attempt })));
  const lost = answers.filter(({ statusCode }) => statusCode === 503);
  expect(lost.length).toBeGreaterThan(0);
  expect(lost.length).toBeLessThan(30);
  expect(lost[0]?.json<Problem>().sentence).toMatch(/type in what you read/);
});

test('the camera gives a picture that can be kept', async () => {
  const { picture = '' } = await steady({ jobId: jobOf('dash-odometer-motor'), instrument: 'camera', look: 'wheel-lamp' });
  const png = PNG.sync.read(Buffer.from(picture.split(',')[1] ?? '', 'base64'));
  expect(png.width).toBeGreaterThan(300);
});

test.each([
  [{ look: 'no-such-look', instrument: 'drillBench' }, 400],
  [{ gear: 'worm', quantity: 'noSuchMm', instrument: 'caliper' }, 409],
  [{ look: 'worm-watch-drums', instrument: 'hammer' }, 400],
])('%j is refused with %i', async (more, status) => {
  expect((await read({ jobId: jobOf('dash-odometer-motor'), ...more })).statusCode).toBe(status);
});

test('a machine that is no made-up one has no stand-in', async () => {
  await server.dataSource.query(`UPDATE machines SET truth = NULL WHERE family = 'fold-actuator' OR family = 'mid-drive-motor'`);
  const answer = await read({ jobId: jobOf('mid-drive-motor'), instrument: 'faultCodeReader', look: 'codes' });
  expect([answer.statusCode, answer.json<Problem>().code]).toEqual([409, 'noInstrument']);
});
