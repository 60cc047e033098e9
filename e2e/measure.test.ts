import { arrive, button, read, takeIn } from './bench.ts';
import { inTime, PHONE, raise, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await raise();
});
afterAll(() => stage.strike());

test('a broken wheel is known on the phone from a piece of its rim; what cannot be is said, and nothing read is lost', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  await page.getByText('Measure this next').waitFor();
  await page.getByRole('heading', { name: 'Teeth', exact: true }).waitFor();

  // Seven teeth are left, six pitches over 53°; one reading of it slips by a digit first.
  await page.getByTestId('callout-arcDeg').click();
  for (const key of '530') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByText('A piece of a rim is between 1° and 360°.').waitFor();
  await page.keyboard.press('Backspace');
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('pad-display').waitFor({ state: 'detached' });
  await read(page, 'spanMm', '9.99');
  const first = page.getByRole('radio', { name: /teeth/ }).first();
  await first.waitFor();

  // The advice names a span that the piece has teeth for, and the pad opens on that count.
  await page.getByRole('heading', { name: /^Span over [4-7] teeth$/ }).waitFor();
  await page.getByTestId('measure-next').click();
  await page.getByTestId('pad-display').waitFor();
  const over = Number(await page.getByTestId('over').textContent());
  const pitch = 3.690165;
  for (const key of (9.991112 + (over - 3) * pitch).toFixed(2)) await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page
    .getByText(/^module 1\.25, 41 teeth, 20°$/)
    .first()
    .waitFor();
  await expect(first.textContent()).resolves.toMatch(/^module 1\.25, 41 teeth, 20°/);

  // Read on through a reload, and against each other: less over more teeth cannot be.
  await page.reload();
  await page
    .getByText(/^module 1\.25, 41 teeth, 20°$/)
    .first()
    .waitFor();
  await page.getByTestId('callout-spanMm').click();
  for (const key of '60.00') await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByText('The readings are kept.', { exact: false }).waitFor();
  await inTime(
    stage.databaseUrl,
    `SELECT count(*)::int AS n FROM entries WHERE payload->>'kind' = 'dimensionRead' AND payload->>'gear' = 'gear'`,
    [{ n: 4 }],
  );

  // The part is written down by hand.
  await page.getByLabel('What you measured, or the part you will fit').fill('41 teeth, bushed');
  await button(page, 'Write it down').click();
  await page.getByText(/: 41 teeth, bushed$/).waitFor();
});
