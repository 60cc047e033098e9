import { t as bench } from '@patient-badger/wording/bench';
import { t as practiceWords } from '@patient-badger/wording/practice';
import { createOperations } from '@patient-badger/core';
import { gearsOfFault } from '@patient-badger/core/machine';
import { familyIds, findFamily } from '@patient-badger/knowledge';
import type { Page } from 'playwright-core';
import { arrive, button, heading, link, radio } from './actions.ts';
import { PHONE, sql, start, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const { run } = createOperations({ find: findFamily, ids: familyIds });

interface PracticeState {
  readonly practice: string;
  readonly family: string;
  readonly taken: readonly { readonly look: string }[];
}
const kept = async (page: Page) =>
  JSON.parse((await page.evaluate(() => localStorage.getItem('patient-badger/practice'))) ?? 'null') as PracticeState;

/** What the advice would do on the machine that lies there, which the screen does not show. */
async function asAdvised(page: Page) {
  const { practice, family } = await kept(page);
  return run('practice.score', { practice, taken: [], verdict: findFamily(family)?.faults[0]?.id ?? '' });
}

async function take(page: Page, look: string) {
  await page.getByTestId(`practice-look-${look}`).click();
  await page.getByTestId('practice-take').click();
  await page.getByTestId('practice-shown').waitFor();
  await page.getByTestId('practice-close').click();
}

test('an apprentice traces a hidden fault by the advice’s looks, without a connection and over a reload, and is shown what each was worth', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, bench.families).click();
  await page.getByTestId('practise').click();
  await radio(page, /^Saw oil pump/).click();
  await page.getByTestId('practice-begin').click();
  await page.getByTestId('practice-spent').getByText('0 s', { exact: false }).waitFor();

  const { engineLooks, engineMinutes, fault } = await asAdvised(page);
  await context.setOffline(true);
  const [first = '', ...rest] = engineLooks;
  await take(page, first);
  await context.setOffline(false);
  await page.reload();
  await page.getByTestId('seen-0').waitFor();
  await context.setOffline(true);
  for (const look of rest) await take(page, look);
  expect((await kept(page)).taken.map(({ look }) => look)).toEqual(engineLooks);

  await page.getByTestId('practice-name').click();
  await page.getByTestId(`verdict-${fault}`).click();
  await page.getByTestId('practice-outcome').getByText(practiceWords.right).waitFor();
  await page.getByText(practiceWords.asLongAsYou, { exact: false }).waitFor();
  expect(await page.getByTestId(/^worth-/).count()).toBe(engineLooks.length);
  expect(engineMinutes).toBeGreaterThan(0);
  await page.getByTestId('practice-another').click();
  await page
    .getByTestId('progress-saw-oil-pump')
    .getByText(practiceWords.ofRight(1, 1, ''))
    .waitFor();
  await context.setOffline(false);
});

test('a gear bought on suspicion and a wrong verdict cost, and nothing of it goes on record', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  const before = (await sql(stage.databaseUrl, 'SELECT count(*)::int AS n FROM entries')).rows;
  await page.goto(`${stage.address}/practice?family=worm-steering-box`);
  await radio(page, practiceWords.second).click();
  await page.getByTestId('practice-begin').click();
  await page.getByText(practiceWords.onARealOneThe, { exact: false }).waitFor();
  const { fault } = await asAdvised(page);
  const pack = findFamily('worm-steering-box');
  const wrong = pack?.faults.find((each) => each.id !== fault)?.id ?? '';
  const really = pack?.faults.find((each) => each.id === fault);
  const wanted: readonly string[] = pack && really ? gearsOfFault(pack, really) : [];
  const gear = pack?.gears.find(({ id }) => !wanted.includes(id))?.id ?? '';
  await button(page, practiceWords.buyAGearOnSuspicion).click();
  await page.getByTestId(`buy-${gear}`).click();
  await page.getByText(/^Bought: /).waitFor();
  await page.getByTestId('practice-spent').getByText('EUR 30.00', { exact: false }).waitFor();

  // Pressed too early, and looked further after all.
  await page.getByTestId('practice-name').click();
  await heading(page, practiceWords.whatIsWrongWithIt).waitFor();
  await page.getByTestId('practice-name').click();
  await page.getByTestId('practice-name').click();
  await page.getByTestId(`verdict-${wrong}`).click();
  await page.getByTestId('practice-outcome').getByText(practiceWords.itWasSomethingElse).waitFor();
  await page.getByText(practiceWords.youTookNone).waitFor();
  await page.reload();
  await page.getByTestId('practice-another').click();
  await page
    .getByTestId('progress-worm-steering-box')
    .getByText(practiceWords.ofRight(0, 1, ''))
    .waitFor();
  expect((await sql(stage.databaseUrl, 'SELECT count(*)::int AS n FROM entries')).rows).toEqual(before);
});
