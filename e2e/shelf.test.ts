import { t as bench } from '@patient-badger/wording/bench';
import { t as machine } from '@patient-badger/wording/machine';
import { t as match } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shelf } from '@patient-badger/wording/shelf';
import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { arrive, link, radio, readSlidePinion, showsExactly } from './actions.ts';
import { inTime, PHONE, start, sql, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);

async function toWall(page: Page): Promise<string> {
  await page.goto(stage.address);
  await link(page, /Ticket-office wall/).click();
  await page.waitForURL(/\/jobs\//);
  return /^.*\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? '';
}

test('a donor is put on the shelf after three slips and without a line, found by its dimensions, fitted, and off the shelf', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await link(page, bench.shelf).click();
  await page.getByText('Bronze auger wheel').waitFor();
  await page.getByTestId('add-donor').click();
  await page.getByTestId('keep-donor').click();
  await page.getByText('Say what it came from.').waitFor();
  await page.getByTestId('donor-teeth').fill('11.5');
  await page.getByText(shelf.thatIsCountedAWhole).waitFor();
  await page.getByTestId('donor-module').fill('three');
  await page.getByText(shelf.thatIsNotOneNumber).waitFor();
  await page.getByTestId('donor-teeth').fill('11');
  await page.getByTestId('donor-module').fill('3');
  await page.getByTestId('donor-boreDiameterMm').fill('12');
  await page.getByTestId('donor-faceWidthMm').fill('10');
  await page.getByTestId('donor-name').fill('Pinion of the boat-house slide');
  await page.getByTestId('donor-cameFrom').fill('Boat-house slide, scrapped');
  await page.getByTestId('donor-hours').fill('40');
  await page.getByTestId('donor-place').fill('Window sill');
  await radio(page, 'good').click();
  await context.setOffline(true);
  await page.getByTestId('keep-donor').click();
  await page.getByText('Pinion of the boat-house slide').waitFor();
  await page.getByText(/has worked 40 h; good/).waitFor();
  await context.setOffline(false);
  await inTime(stage.databaseUrl, `SELECT place, worked_hours AS h FROM shelf WHERE name LIKE 'Pinion of%'`, [
    { place: 'Window sill', h: 40 },
  ]);

  const job = await toWall(page);
  await page.goto(`${job}/gear/rpinion`);
  await readSlidePinion(page);
  await page.getByTestId('find-parts').click();
  await page.getByText('Pinion of the boat-house slide').waitFor();
  await page.getByRole('button', { name: 'Use this one. Window sill' }).click();
  await page.getByText(match.chosenOffTheShelf).waitFor();

  // Its own meter says how much it works, and so when half of a used gear's 150 hours are gone.
  const { machineId } = (await (await page.request.get(job.replace('/jobs/', '/api/jobs/'))).json()) as { machineId: string };
  const meter = `${stage.address}/api/machines/${machineId}`;
  for (const [days, hours] of [
    [-100, 5000],
    [0, 5082],
  ] as const) {
    await page.request.post(`${meter}/meter`, { data: { id: randomUUID(), on: inDays(days).toISOString().slice(0, 10), hours, km: null } });
  }
  const { yearly } = (await (await page.request.get(`${meter}/history`)).json()) as { yearly: { hours: number } };
  expect(yearly.hours).toBeGreaterThan(100);
  const due = inDays(Math.round(Math.min(1, 75 / yearly.hours) * 365));
  const written = `${due.getUTCDate()} ${due.toLocaleString('en', { month: 'short', timeZone: 'UTC' })} ${due.getUTCFullYear()}`;
  await page.goto(`${job}/close`);
  await page.getByTestId('put-later').getByText(written, { exact: false }).waitFor();
  await page.getByTestId('fitted').click();
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'source' AS s FROM entries WHERE payload->>'kind' = 'partFitted' AND payload->>'partNumber' LIKE 'Pinion of%'`,
    [{ s: 'shelf' }],
  );
  await page.goto(`${stage.address}/shelf`);
  await page.getByRole('button', { name: shelf.fittedToThatJob }).waitFor();
  await page.goto(`${job}/log`);
  await page.getByTestId('to-machine').click();
  await page.getByText(machine.offTheShelf).waitFor();
  await page.getByText(shared.onTheBench, { exact: false }).waitFor();
});

test('the number on the machine’s plate is judged like any other claim, and kept with where the plate is; the seller is chosen', async () => {
  const { page } = await stage.device(PHONE);
  await sql(
    stage.databaseUrl,
    `INSERT INTO listings SELECT id, 'Vessmoor Breakers', 1, 30, 0, '{}' FROM parts WHERE name = 'Slide pinion pack' ON CONFLICT DO NOTHING`,
  );
  const wide = (await sql(stage.databaseUrl, `SELECT part_number AS n FROM parts WHERE name = 'Slide pinion pack, wide'`)).rows[0] as {
    n: string;
  };
  const right = (await sql(stage.databaseUrl, `SELECT part_number AS n, supplier AS s FROM parts WHERE name = 'Slide pinion pack'`))
    .rows[0] as {
    n: string;
    s: string;
  };
  await arrive(page, stage.address, 'Tobin');
  const job = await toWall(page);
  await page.goto(`${job}/gear/rpinion`);
  await readSlidePinion(page);
  await page.getByTestId('find-parts').click();
  await page.getByTestId('plate').click();
  await page.getByTestId('plate-number').fill(wide.n);
  await page.getByTestId('keep-plate').click();
  await page.getByText(match.writeTheNumberAndWhere).waitFor();
  await page.getByTestId('plate-where').fill('inside the left runner');
  await page.getByTestId('keep-plate').click();
  await page.getByText(match.byTheNumberOnThe).waitFor();
  await page.reload();
  await showsExactly(page.getByTestId('plate-kept'), `On the machine: ${wide.n} (inside the left runner)`);
  // What the sheet names for the right one in its place is two millimetres wider, and said to be.
  await page.getByText(`The sheet says replaced by ${wide.n}: not the same: face width +2 mm.`).waitFor();

  await page.getByTestId('narrow').click();
  await radio(page, shared.asItIs).click();
  await page.getByTestId(`choose-${right.n}`).click();
  await radio(page, new RegExp(`^${right.s}`)).click();
  await page.getByTestId('order').click();
  await page.getByTestId('order-ordered').waitFor();
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'supplier' AS s FROM entries WHERE payload->>'kind' = 'partOrdered' AND payload->>'partNumber' = '${right.n}' AND "by" = 'tobin' AND "at" > now() - interval '1 hour'`,
    [{ s: right.s }],
  );
  await page.goto(`${job}/log`);
  await page.getByTestId('to-machine').click();
  await page.getByText(/inside the left runner/).waitFor();
});
