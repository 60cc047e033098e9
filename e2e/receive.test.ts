import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as gear } from '@patient-badger/wording/gear';
import { t as match } from '@patient-badger/wording/match';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { inspect, readSlidePinion, shows, showsExactly, toJob } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('the ticket-office wall’s pinion is refused at receiving for its width, known again, and the right one accepted', async () => {
  const { page, context } = await stage.device(PHONE);
  const job = await toJob(page, stage.address, /Ticket-office wall/);
  await page.goto(`${job}/gear/rpinion`);
  await readSlidePinion(page);
  await page.getByRole('radio', { name: gear.module('3, 11 teeth, 20°') }).waitFor();
  await shows(page.getByRole('radio', { name: setup.teeth }).first(), gear.module('3, 11 teeth, 20°'));
  await page.getByTestId('find-parts').click();

  // Listings that say they fit and do not by their own width are shown first; ours is chosen and ordered.
  await page
    .getByText(containing(match.andNotByTheirOwn(ANYTHING, ANYTHING, ANYTHING, ANYTHING, ANYTHING)))
    .first()
    .waitFor();
  await page
    .getByTestId(/^choose-/)
    .first()
    .click();
  await page.getByTestId('order').click();
  await page.getByTestId('order-ordered').waitFor();
  await page.getByText(/Slide pinion pack(, other material)?$/).waitFor();
  await page.getByTestId('arrived').click();

  // What came is two millimetres too wide.
  await page.getByText('Measure teeth next', { exact: false }).waitFor();
  await inspect(page, 'teeth', '11');
  await inspect(page, 'faceWidthMm', '12');
  await page.getByTestId('receive-verdict').waitFor();
  await showsExactly(page.getByTestId('receive-verdict'), shared.notWhatWasOrdered('face', 'width 2 mm more'));
  await page.reload();
  await page.getByTestId('receive-verdict').waitFor();
  await page.getByLabel(match.noteForTheReturnMay).fill('pack for the older wall');
  await context.setOffline(true);
  await page.getByTestId('refuse').click();
  await page.getByTestId('order-refused').waitFor();
  await context.setOffline(false);
  await inTime(stage.databaseUrl, `SELECT payload->>'deciding' AS why FROM entries WHERE payload->>'kind' = 'partRefused'`, [
    { why: 'faceWidthMm' },
  ]);

  // Ordered again: the app remembers, and what was read off the refused one is gone.
  await page.goto(`${job}/parts/rpinion`);
  await page.getByTestId(/^came-wrong-/).waitFor();
  await page.getByTestId('order').click();
  await page.getByTestId('arrived').click();
  await shows(
    page.getByTestId('refused-before'),
    containing(match.thisPartNumberCameWrong(ANYTHING, 'face width', '+2 mm; pack for the older wall')),
  );
  await page.getByText('Measure teeth next', { exact: false }).waitFor();
  await inspect(page, 'teeth', '11');
  await inspect(page, 'faceWidthMm', '10.02');
  await inspect(page, 'boreDiameterMm', '12');
  await showsExactly(page.getByTestId('receive-verdict'), match.itIsWhatWasOrdered);
  await page.getByTestId('accept').click();
  await page.getByTestId('order-accepted').waitFor();
  await page.goto(`${job}/log`);
  await page.getByText(/^Accepted: QB-/).waitFor();
});
