import { t as bench } from '@patient-badger/wording/bench';
import { t as items } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { arrive, keepTyped, link, radio } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('a seal is ordered by its dimensions without a connection, comes too wide, goes back, the next is taken and fitted; the bill adds up', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Orchard saw/).click();
  await page.getByTestId('do-look').waitFor();
  await page.goto(page.url().replace(/(\/jobs\/[^/?]+).*/, '$1/items'));
  await page.getByTestId('add-item').click();
  await page.getByTestId('kind-seal').click();
  await page.getByTestId('size-shaftDiameterMm').fill('20');
  await page.getByTestId('size-outsideDiameterMm').fill('35');
  await page.getByTestId('size-widthMm').fill('7');
  await page.getByTestId('item-catalogue').click();
  const order = page.getByTestId(/^order-QB-/).first();
  await order.getByText('Lip seal 20 × 35 × 7').waitFor();
  await context.setOffline(true);
  await order.click();
  await page.getByTestId('item-arrived').click();
  // Three millimetres too wide: not what was ordered.
  await page.getByTestId('measure-widthMm').click();
  await keepTyped(page, '10');
  await page.getByTestId('item-verdict').getByText('width', { exact: false }).waitFor();
  await context.setOffline(false);
  await page.getByTestId('item-refuse').click();
  await page.getByTestId('item-refused').waitFor();
  await page.reload();
  await page
    .getByTestId('item-refused')
    .getByText(/Width: \+3 mm/)
    .waitFor();

  await page.getByTestId('add-item').click();
  await page.getByTestId('item-name').fill('Lip seal, by telephone');
  await page.getByTestId('item-supplier').fill('Hobdray Stores');
  await page.getByTestId('item-price').fill('dear');
  await page.getByTestId('keep-item').click();
  await page.getByText(items.thePriceOfOneAs).waitFor();
  await page.getByTestId('item-price').fill('4,50');
  await page.getByTestId('item-count').fill('2');
  await page.getByTestId('keep-item').click();
  await page.getByTestId('item-arrived').click();
  await page.getByTestId('item-accept').click();
  await page.getByTestId('item-fit').click();
  await page.getByTestId('bill').getByText('EUR 9.00').waitFor();
  await page.getByTestId('promise-1').click();
  await page.getByText(shared.promisedFor('')).first().waitFor();

  const kinds = `SELECT count(*)::int AS count FROM entries WHERE payload->>'kind' LIKE 'item%' AND "by" = 'tobin'`;
  await inTime(stage.databaseUrl, kinds, [{ count: 8 }]);
  await page.goto(stage.address);
  await page.getByText(shared.promisedFor('tomorrow')).waitFor();
  await radio(page, bench.filterWaits).click();
  await page.getByText(bench.noJobWaitsForA).or(link(page, /./).first()).first().waitFor();
  await link(page, bench.findAnything).waitFor();
});
