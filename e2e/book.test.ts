import { t as book } from '@patient-badger/wording/book';
import { t as gear } from '@patient-badger/wording/gear';
import { t as match } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import { arrive, button, closeUp, heading, link, read, STRIPPED, takeIn, trace } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('what a closed job learnt stands in the book of its model, and the next job of that model starts from it', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  await trace(page, STRIPPED);
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('decide').click();
  await page.waitForURL(/\/gear\/worm/);
  const measure = async () => {
    await read(page, 'tipDiameterMm', '19.95');
    await read(page, 'axialPitch', '12.57');
    await read(page, 'starts', '1');
    await read(page, 'boreDiameterMm', '12.01');
    await read(page, 'faceWidthMm', '9');
  };
  expect(await page.getByTestId('book-gear').count()).toBe(0);
  await measure();
  await button(page, gear.findPartsThatFit).click();
  await button(page, match.choose).click();
  await button(page, match.setUpAndProve).click();
  await page.getByTestId('fitted').click();
  await closeUp(page);
  await page.getByTestId('learnt').getByText('Oil pump worm', { exact: false }).first().waitFor();
  await page.getByTestId('write-book').click();
  await page.getByText(book.whatThisJobLearntStands).waitFor();
  await inTime(stage.databaseUrl, `SELECT line->>'kind' AS kind, count(*)::int AS n FROM book_lines GROUP BY 1 ORDER BY 1`, [
    { kind: 'fault', n: 1 },
    { kind: 'gear', n: 1 },
    { kind: 'note', n: 1 },
    { kind: 'partProved', n: 1 },
  ]);

  await page.goto(stage.address);
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  await page.goto(page.url().replace(/(\/jobs\/[^/?]+).*/, '$1/gear/worm'));
  const known = page.getByTestId('book-gear');
  await known.getByText(gear.soInThatItWas(gear.theOneJob), { exact: false }).waitFor();
  await measure();
  await button(page, gear.findPartsThatFit).click();
  await heading(page, match.provedOnThisModel).waitFor();
  await page.goBack();
  await known.getByRole('button', { name: shared.theBookOfThisModel }).click();
  await heading(page, shared.whatItWas).waitFor();
  await page.getByText(book.held(shared.once), { exact: false }).waitFor();
  await page.getByLabel(book.whereItGoesIfIt).fill('Bar oil tank');
  await page.getByLabel(shared.what, { exact: true }).fill('260 ml of chain oil');
  await page.getByLabel(shared.whoseFigureItIs).fill('The sheet in the lid');
  await button(page, book.writeItIn).click();
  await page.getByText('Bar oil tank: 260 ml of chain oil (The sheet in the lid)').waitFor();
  await link(page, 'Tobin is at the bench').waitFor();
});
