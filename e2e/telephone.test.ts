import { t as match } from '@patient-badger/wording/match';
import { t as orders } from '@patient-badger/wording/orders';
import { t as shared } from '@patient-badger/wording/shared';
import { heading, inspect, readSlidePinion, shows, showsExactly, toJob } from './actions.ts';
import { inTime, PHONE, sql, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('a pinion that no catalogue number names: asked for by telephone, wrong when it came, sent back with its letter, ordered again, right', async () => {
  const { page, context } = await stage.device(PHONE);
  const job = await toJob(page, stage.address, /Ticket-office wall/);

  // Before anything is measured the number on the part finds what is listed under it, as a claim that cannot be chosen.
  await page.goto(`${job}/parts/rpinion`);
  await page.getByTestId('plate').click();
  await page.getByTestId('plate-number').fill('QB-8000-T');
  await page.getByTestId('plate-where').fill('on its hub');
  await page.getByTestId('keep-plate').click();
  await page.getByText(match.aClaimUntilMeasured).waitFor();
  expect(await page.getByTestId(/^choose-/).count()).toBe(0);

  await page.goto(`${job}/gear/rpinion`);
  await readSlidePinion(page);
  await page.getByTestId('find-parts').click();

  // How it sits on its shaft decides, and nobody has said it: no order without.
  await page.getByTestId('to-dimensions').click();
  await showsExactly(page.getByTestId('missing-for-order').getByText(/^For an order/), orders.forAnOrderIsMissing('bore shape'));
  await page.getByTestId('missing-for-order').getByRole('button').click();
  await page.getByTestId('open-seat').click();
  await page
    .getByLabel(/^Bore, mm|bore/i)
    .first()
    .fill('12.02');
  await page.getByTestId('keep-seat').click();
  await page.getByTestId('find-parts').click();
  await page.getByTestId('to-dimensions').click();

  // The request names what decides, each with what it may be off by.
  await page.getByTestId('to-request').click();
  await shows(page.getByTestId('what-it-must-be'), orders.oneOff('10 mm', '0.35'));
  await page.goBack();

  // Three mistakes, each said at its field; the price is kept on the word of who asks it.
  await page.getByTestId('to-dimensions').click();
  await page.getByTestId('order-to-dimensions').click();
  await page.getByText(orders.fromWhom).waitFor();
  await page.getByText(orders.priceAsAFigure).waitFor();
  await page.getByText(orders.daysAsAFigure).waitFor();
  await page.getByTestId('price-supplier').fill('Hobdray Stores');
  await page.getByTestId('price-of-one').fill('21.50');
  await page.getByTestId('price-days').fill('6');
  await page.getByTestId('keep-price').click();
  await page.getByTestId('price-known').waitFor();
  await page.reload();
  await page.getByTestId('to-dimensions').click();
  await page.getByTestId('seller-number').fill('H 11-3');
  await context.setOffline(true);
  await page.getByTestId('order-to-dimensions').click();
  await page.getByTestId('order-ordered').waitFor();
  await context.setOffline(false);
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'supplierNumber' AS number, payload->>'priceMinor' AS price FROM entries WHERE payload->>'kind' = 'partOrdered' AND payload->>'source' = 'toDimensions'`,
    [{ number: 'H 11-3', price: '2150' }],
  );
  await page.getByTestId('order-paper').click();
  await page.getByText(orders.yourNumber('H 11-3')).waitFor();
  await page.goBack();

  // Two millimetres too wide: it goes back with the figure in the letter.
  await page.getByTestId('arrived').click();
  await inspect(page, 'teeth', '11');
  await inspect(page, 'faceWidthMm', '12');
  await showsExactly(page.getByTestId('receive-verdict'), shared.notWhatWasOrdered('face width', '2 mm more'));
  await page.getByTestId('refuse').click();
  await page.getByTestId('return-letter').click();
  await showsExactly(page.getByTestId('ordered-and-came'), orders.orderedAndCame('Face width', '10 mm', '12 mm'));

  // Ordered again: the same drawing, the same seller, nothing typed twice.
  await page.goto(`${job}/parts/rpinion`);
  await page.getByTestId('order-to-dimensions').click();
  await page.getByTestId('arrived').click();
  await inspect(page, 'teeth', '11');
  await inspect(page, 'faceWidthMm', '10.02');
  await inspect(page, 'boreDiameterMm', '12');
  await page.getByTestId('accept').click();
  await page.getByTestId('order-accepted').waitFor();
  const drawings = await page.getByText(/^D-[0-9A-F]{8} · /).allInnerTexts();
  expect(drawings).toHaveLength(2);
  expect(new Set(drawings).size).toBe(1);
});

test('nothing in the catalogue fits: what is nearest by the work it needs, none with other teeth; then made, a whole unit, or a watch that is kept', async () => {
  const { page } = await stage.device(PHONE);
  const job = await toJob(page, stage.address, /Ticket-office wall/);
  await page.goto(`${job}/gear/lpinion`);
  // As the pinion of that wall, but far too narrow for any that is listed.
  await readSlidePinion(page, '2.5');
  await page.getByTestId('find-parts').click();
  await heading(page, match.nothingInTheCatalogueFits).waitFor();
  await heading(page, orders.nearestToIt).waitFor();
  const ids = await page
    .locator('[data-testid^="choose-"]')
    .evaluateAll((all) => all.map((each) => each.getAttribute('data-testid') ?? ''));
  const named = ids.map((id) => `'${id.slice('choose-'.length)}'`).join(', ');
  const teeth = await sql(stage.databaseUrl, `SELECT DISTINCT attributes->'teeth' AS teeth FROM parts WHERE part_number IN (${named})`);
  expect(teeth.rows).toEqual([{ teeth: 11 }]);
  expect(await page.getByTestId('way-make').isVisible()).toBe(true);
  expect(await page.getByTestId('way-unit').isVisible()).toBe(true);
  await page.getByTestId('way-watch').click();
  await page.getByTestId('watch-kept').waitFor();
  await page.reload();
  await page.getByTestId('watch-kept').waitFor();
  await inTime(stage.databaseUrl, `SELECT payload->>'action' AS action FROM entries WHERE payload->>'kind' = 'followUpSet'`, [
    { action: 'look' },
  ]);
});
