import { arrive, link } from './bench.ts';
import { inTime, PHONE, raise, WIDE, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await raise();
});
afterAll(() => stage.strike());

test('the catalogue at the counter: found by words, put in order, several rows changed alike', async () => {
  const { page } = await stage.device(WIDE);
  await arrive(page, stage.address, 'Imke');
  await link(page, 'Parts').click();
  await page.getByTestId('catalogue-text').fill('slide pinion');
  const rows = page.getByRole('checkbox');
  await page.getByRole('checkbox', { name: /Slide pinion pack, wide/ }).waitFor();
  await expect(rows.count()).resolves.toBe(9);
  await rows.nth(0).click();
  await rows.nth(1).click();
  await page.getByText('2 parts chosen').waitFor();
  await page.getByTestId('change-parts').click();
  await page.getByText('Fill in what is to change.').waitFor();
  await page.getByTestId('change-stock').fill('many');
  await page.getByTestId('change-parts').click();
  await page.getByText('that is not one number', { exact: false }).waitFor();
  await page.getByTestId('change-stock').fill('41');
  await page.getByTestId('change-parts').click();
  await page.getByText('2 parts chosen').waitFor({ state: 'detached' });
  await inTime(stage.databaseUrl, `SELECT count(*)::int AS n FROM parts WHERE stock = 41`, [{ n: 2 }]);
});

test('on the phone it is read page by page, and typing begins at the first again', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await page.goto(`${stage.address}/parts`);
  const first = page.getByRole('checkbox').first();
  await first.waitFor();
  const name = await first.getAttribute('aria-label');
  await page.getByTestId('next-page').click();
  await page.getByRole('checkbox', { name: name ?? '', exact: true }).waitFor({ state: 'detached' });
  await expect(page.getByRole('checkbox').count()).resolves.toBe(60);
  await page.getByTestId('catalogue-text').fill('qb-7700');
  await page.getByRole('checkbox', { name: /^QB-7700/ }).waitFor();
});
