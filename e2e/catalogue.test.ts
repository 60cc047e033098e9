import { t as catalogue } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { readFile } from 'node:fs/promises';
import { arrive, link } from './actions.ts';
import { inTime, PHONE, start, sql, WIDE, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('the catalogue at the counter: found by words, put in order, several rows changed alike', async () => {
  const { page } = await stage.device(WIDE);
  await arrive(page, stage.address, 'Imke');
  await link(page, shared.parts).click();
  await page.getByTestId('catalogue-text').fill('slide pinion');
  const rows = page.getByRole('checkbox');
  await page.getByRole('checkbox', { name: /Slide pinion pack, wide/ }).waitFor();
  await expect(rows.count()).resolves.toBe(9);
  await rows.nth(0).click();
  await rows.nth(1).click();
  await page.getByText(catalogue.chosen(2, catalogue.parts)).waitFor();
  await page.getByTestId('change-parts').click();
  await page.getByText(catalogue.fillInWhatIsTo).waitFor();
  await page.getByTestId('change-stock').fill('many');
  await page.getByTestId('change-parts').click();
  await page.getByText('that is not one number', { exact: false }).waitFor();
  await page.getByTestId('change-stock').fill('41');
  await page.getByTestId('change-parts').click();
  await page.getByText(catalogue.chosen(2, catalogue.parts)).waitFor({ state: 'detached' });
  await inTime(stage.databaseUrl, `SELECT count(*)::int AS n FROM parts WHERE stock = 41`, [{ n: 2 }]);
});

test('a heading puts the table in its order, and pressed again the other way round; the list is one long one', async () => {
  const { page } = await stage.device(WIDE);
  await arrive(page, stage.address, 'Imke');
  await page.goto(`${stage.address}/parts`);
  const numberAt = async (order: string) =>
    (await sql(stage.databaseUrl, `SELECT part_number FROM parts ORDER BY ${order} LIMIT 1`)).rows[0]?.part_number as string;
  await page.getByRole('button', { name: catalogue.orderByIt(catalogue.price2, '') }).click();
  await page.getByTestId(`row-${await numberAt('price_minor, part_number')}`).waitFor();
  await page.getByRole('button', { name: 'Price: order by it, smallest first' }).click();
  await page.getByTestId(`row-${await numberAt('price_minor DESC, part_number DESC')}`).waitFor();

  await page.getByRole('button', { name: catalogue.orderByIt(shared.part, '') }).click();
  const far = (await sql(stage.databaseUrl, `SELECT part_number FROM parts ORDER BY part_number OFFSET 330 LIMIT 1`)).rows[0] as {
    part_number: string;
  };
  const row = page.getByTestId(`row-${far.part_number}`);
  await page.mouse.move(600, 500);
  for (let i = 0; i < 100 && (await row.count()) === 0; i++) {
    await page.mouse.wheel(0, 600);
    await page.waitForTimeout(60);
  }
  await row.waitFor();
  expect(await page.getByRole('checkbox').count()).toBeLessThan(60);
});

test('on the phone typing begins at the top again, and the whole catalogue is kept as a file', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await page.goto(`${stage.address}/parts`);
  await page.getByRole('checkbox').first().waitFor();
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, 3000);
  await page.getByTestId('catalogue-text').fill('qb-7700');
  await page.getByRole('checkbox', { name: /^QB-7700/ }).waitFor();
  await page.getByTestId('catalogue-text').fill('no such thing');
  await page.getByText(catalogue.noPartLikeThatFewer).waitFor();
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-csv').click()]);
  const lines = (await readFile(await file.path(), 'utf8')).trim().split(/\r?\n/);
  const rows = (await sql(stage.databaseUrl, 'SELECT (SELECT count(*) FROM parts) + (SELECT count(*) FROM listings) AS n')).rows[0] as {
    n: string;
  };
  expect(lines).toHaveLength(1 + Number(rows.n));
});
