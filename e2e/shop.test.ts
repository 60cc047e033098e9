import { problemSentence } from '@patient-badger/wording';
import { t as access } from '@patient-badger/wording/access';
import { t as bench } from '@patient-badger/wording/bench';
import { t as book } from '@patient-badger/wording/book';
import { t as entrance } from '@patient-badger/wording/entrance';
import { t as families } from '@patient-badger/wording/families';
import { t as intake } from '@patient-badger/wording/intake';
import { t as items } from '@patient-badger/wording/items';
import { t as logWords } from '@patient-badger/wording/log';
import { t as people } from '@patient-badger/wording/people';
import { t as settings } from '@patient-badger/wording/settings';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import { arrive, button, closeUp, heading, link, PACKED, radio, trace } from './actions.ts';
import { inTime, PHONE, start, WIDE, type Stage } from './stage.ts';

jest.setTimeout(180_000);

/** A shop of its own each time: nothing of the made-up world is in it. */
const stages: Stage[] = [];
async function ownShop(): Promise<Stage> {
  const stage = await start({ demo: false });
  stages.push(stage);
  return stage;
}
afterAll(async () => {
  for (const stage of stages) await stage.stop();
});

const PASSPHRASE = 'nine kettles by the canal';

test.each([
  ['phone', PHONE],
  ['wide', WIDE],
] as const)(
  'a shop moves in, at the size of a %s: first visit, a second person, a machine of its own, a job to its closing',
  async (_, size) => {
    const stage = await ownShop();
    const { page } = await stage.device(size);
    const seen: string[] = [];
    const look = async () => seen.push(await page.locator('body').innerText());

    await page.goto(stage.firstVisit);
    await heading(page, entrance.aShopMovesIn).waitFor();
    await page.getByTestId('open-shop').click();
    await page.getByText('Give the shop a name.').waitFor();
    await page.getByLabel(shared.nameOfTheShop).fill('Reed & Daughter');
    await page.getByLabel(shared.currencyThreeLetters).fill('nok');
    await page.getByLabel(shared.ratePerHour).fill('690');
    await radio(page, shared.miles).click();
    await page.getByLabel(shared.yourName).fill('Una');
    await page.getByLabel(entrance.aPassphrase).fill('unaunaunauna');
    await page.getByTestId('open-shop').click();
    await page.getByText(problemSentence('weakPassphrase'), { exact: false }).waitFor();
    await page.getByLabel(entrance.aPassphrase).fill(PASSPHRASE);
    await page.getByTestId('open-shop').click();
    await page.getByText(bench.theBenchIsClear).waitFor();
    await look();

    await link(page, 'Una is at the bench').click();
    await button(page, shared.theShop).click();
    await button(page, people.people).click();
    await button(page, people.addSomebody).click();
    await page.getByLabel(shared.name2).fill('Per');
    await page.getByLabel(/^First passphrase/).fill('seven herons over the weir');
    await page.getByTestId('add-person').click();
    await page.getByText('Mechanic · no PIN yet').waitFor();
    await look();

    await page.goto(`${stage.address}/models`);
    await button(page, book.addAModel).click();
    await page.getByLabel(book.maker, { exact: true }).fill('Brackwade');
    await page.getByTestId('add-model').click();
    await page.getByText('Give the model as its plate has it.', { exact: false }).waitFor();
    await page.getByLabel(book.modelAsItsPlateHas).fill('Limber 40');
    await page.getByLabel(families.whatIsItOrWhat).fill('saw');
    await radio(page, /Saw oil pump/).click();
    await page.getByTestId('add-model').click();
    await page.getByTestId('change-counts').click();
    await page.getByTestId('count-worm-pinion-teeth').fill('none');
    await page.getByTestId('keep-counts').click();
    await page.getByText(book.teethAndStartsAreCounted, { exact: false }).waitFor();
    await page.getByTestId('count-worm-pinion-teeth').fill('19');
    await page.getByTestId('keep-counts').click();
    await page.getByText(/teeth 19$/).waitFor();
    await look();

    await page.goto(stage.address);
    await button(page, shared.takeInAMachine).click();
    await button(page, intake.itIsNotOnThe).click();
    await page.getByLabel(shared.whatYouCallIt).fill('The verger’s saw');
    await page.getByLabel(shared.owner).fill('The verger');
    await page.getByLabel(families.whatIsItOrWhat).fill('saw');
    await radio(page, /Saw oil pump/).click();
    await radio(page, /Limber 40/).click();
    await button(page, shared.writeItDown).click();
    await button(page, 'Uses no oil at all, tank stays full').click();
    await page.getByTestId('start-job').click();
    await page.getByTestId('do-look').waitFor();
    await look();
    await trace(page, PACKED);
    await button(page, shared.seeTheReasonsAndDecide).click();
    await page.getByTestId('decide').click();
    await look();
    await page.waitForURL(/\/(close|gear)/);
    if (page.url().includes('/gear/')) await button(page, shared.setItRightAndProve).click();
    await heading(page, access.theWayBack).waitFor();
    await page.getByTestId('to-items').click();
    await page.getByTestId('add-item').click();
    await page.getByTestId('item-name').fill('Pick-up hose');
    await page.getByTestId('keep-item').click();
    await page.getByText(items.fromWhomIsItComing).waitFor();
    await radio(page, shared.fromTheShop).click();
    await page.getByTestId('item-price').fill('35');
    await page.getByTestId('keep-item').click();
    await page.getByTestId('item-fit').click();
    await page.getByTestId('labour-minutes').fill('40');
    await page.getByTestId('keep-labour').click();
    // 35 and two thirds of an hour at 690.
    await page.getByTestId('bill').getByText('NOK 495.00').waitFor();
    await look();
    await page.goBack();
    await closeUp(page);
    await look();
    expect(seen.join('\n')).not.toMatch(/demo|Skarrow|made-up shop/i);
    await inTime(stage.databaseUrl, `SELECT closed, outcome FROM jobs`, [{ closed: true, outcome: 'cleaned' }]);
  },
);

test('the session runs out in the middle, the network goes, somebody else takes the phone: nothing is lost, and each note is its author’s', async () => {
  const stage = await start();
  stages.push(stage);
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Orchard saw/).click();
  await page.getByTestId('do-look').waitFor();
  await page.goto(page.url().replace(/(\/jobs\/[^/?]+).*/, '$1/log'));
  const write = async (text: string) => {
    await page.getByLabel(logWords.remark).fill(text);
    await button(page, shared.writeItDown).click();
    await page.getByTestId('entry').filter({ hasText: text }).waitFor();
  };
  const remarks = (wanted: readonly object[]) =>
    inTime(
      stage.databaseUrl,
      `SELECT "by", payload->>'text' AS text FROM entries WHERE payload->>'text' LIKE 'story %' ORDER BY seq`,
      wanted,
    );
  await page.getByLabel(logWords.remark).waitFor();
  // Signed out from elsewhere: the next note stays, and a card asks again.
  await page.request.post(`${stage.address}/api/sign-out`, { data: {} }).catch(() => undefined);
  await context.clearCookies();
  await write('story one');
  await page.getByTestId('sign-in-again').waitFor();
  await page.reload();
  await page.getByTestId('sign-in-again').waitFor();
  await page.getByTestId('entry').filter({ hasText: 'story one' }).waitFor();
  await page.getByLabel(shell.passphrase).fill('wrong words altogether');
  await page.getByTestId('sign-in').click();
  await page.getByText(problemSentence('wrongPassphrase')).waitFor();
  await page.getByLabel(shell.passphrase).fill('rain on the tin roof');
  await page.getByTestId('sign-in').click();
  await page.getByTestId('sign-in-again').waitFor({ state: 'detached' });
  const one = { by: 'tobin', text: 'story one' };
  await remarks([one]);

  await context.setOffline(true);
  await write('story two');
  await page.getByText('No connection.', { exact: false }).waitFor();
  const log = page.url();
  await link(page, 'Tobin is at the bench').click();
  await radio(page, /^Imke/).click();
  await link(page, 'Imke is at the bench').waitFor();
  await page.goBack();
  await write('story three');
  await context.setOffline(false);
  await page.getByTestId('prove-first').waitFor();
  // The phone changed hands: nothing goes out under either name until its PIN was given.
  await page.reload();
  await page.getByLabel('PIN of Imke').fill('2580');
  await page.getByTestId('prove').click();
  const three = { by: 'imke', text: 'story three' };
  await remarks([one, three]);
  await page.getByLabel('PIN of Tobin').fill('2580');
  await page.getByTestId('prove').click();
  await page.getByTestId('prove-first').waitFor({ state: 'detached' });
  await remarks([one, three, { by: 'tobin', text: 'story two' }]);
  expect(page.url()).toBe(log);
  // No script of the page can read what keeps the device signed in.
  expect(await page.evaluate(() => document.cookie)).toBe('');
  expect((await context.cookies()).map(({ name, httpOnly, sameSite }) => [name, httpOnly, sameSite])).toEqual([
    ['badger', true, 'Strict'],
    ['badger-device', true, 'Strict'],
  ]);

  await page.goto(`${stage.address}/settings`);
  await button(page, settings.devices).click();
  await button(page, people.signThisDeviceOut).click();
  await heading(page, shared.signIn).waitFor();
});
