import { containing } from '@patient-badger/wording/testing';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import { findFamily } from '@patient-badger/knowledge';
import type { Page } from 'playwright-core';
import { arrive, button, heading, honest, openUp, radio, takeIn, trace, type Truth } from './actions.ts';
import { PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const faultName = (family: string, id: string) => findFamily(family)?.faults.find((each) => each.id === id)?.name ?? '';

/** Follows the advice until every fault of the machine was found: the first is kept, and the tracing goes on. */
async function traceBoth(page: Page, truth: Truth): Promise<void> {
  await trace(page, truth);
  if (await page.getByText(traceWords.verdictBoth).isVisible()) return;
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('go-on').click();
  await page.getByText(traceWords.foundAlreadyLookingForA).waitFor();
  await trace(page, truth);
}

test('a slide with a dead motor: both racks stand, and no gear is accused', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Ticket-office wall/, 'Nothing happens at the button');
  const taken = await trace(page, { ...honest('slide-rack-drive', 'motor-dead'), 'both-racks': 'still-still' });
  expect(taken.length).toBeGreaterThan(0);
  await heading(page, 'Motor dead').waitFor();
});

test('a walk-behind drive jammed on the right by its pin', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /North orchard walk mower/, 'Will not roll by hand');
  await trace(page, honest('walk-drive-gearbox', 'pin-jammed-right'));
  await heading(page, /^Right drive pin/).waitFor();
});

test('a grooved stem and a turned seal are found together', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Old estate car/, 'Oil at the cable');
  const sights = { 'oil-trail': 'wet', 'seal-look': 'turned', 'driven-look': 'groove', 'needle-steady': 'steady' };
  await traceBoth(page, { ...honest('speedometer-takeoff', 'seal-turned'), ...sights });
  for (const fault of ['seal-turned', 'stem-grooved']) {
    expect(await page.getByText(faultName('speedometer-takeoff', fault)).first().isVisible()).toBe(true);
  }
});

test('chips on a drain plug at the service: tracing starts from the find', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await button(page, shared.takeInAMachine).click();
  await button(page, /Playing-field mower/).click();
  await page.getByTestId('at-service').click();
  await page.getByTestId('find-drain-magnet-chips').click();
  await page.getByTestId('start-job').click();
  await heading(page, shared.seenSoFar).waitFor();
  await page.getByText('Bright chips').first().waitFor();
  await page.getByText(/^Explained by: Ring gear chewed inside/).waitFor();
  await trace(page, honest('hydro-final-drive', 'ring-inside'));
  await heading(page, /^Ring gear chewed inside/).waitFor();
});

test('a look is refused because the bar is off, says what it takes, and is possible once it is back', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Pruning saw/, 'Chain runs dry, no oil on the bar');
  const job = new URL(page.url()).pathname;
  await page.goto(`${stage.address}${job}/look/passage-wire`);
  await openUp(page);
  await page.getByTestId('result-clear').click();
  await page.waitForURL((url) => !url.pathname.includes('/look/'));
  await page.goto(`${stage.address}${job}/look/paper-test`);
  await page.getByText(traceWords.notPossibleAsItStands).waitFor();
  await page.getByText(containing(traceWords.thisLookNeeds('bar and chain are on').slice(0, -1))).waitFor();
  await openUp(page);
  await page.getByText(traceWords.notPossibleAsItStands).waitFor({ state: 'detached' });
  await page.getByTestId('result-none').click();
  await page.waitForURL((url) => !url.pathname.includes('/look/'));
});

test('something that the family does not foresee is kept as evidence, and two things are seen in one sight', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Ferry slip trimmer/, 'Head gets hot and howls');
  await page.getByTestId('own-look').click();
  await page.getByLabel(traceWords.iSaw).fill('blue colour at the spindle');
  await radio(page, 'Bearing collapsed').click();
  await radio(page, shared.verySure).click();
  await page.getByTestId('keep-own').click();
  await page.getByText('blue colour at the spindle').waitFor();
  const job = new URL(page.url()).pathname;
  await page.goto(`${stage.address}${job}/look/teeth-lamp`);
  await openUp(page);
  await page.getByTestId('two-at-once').click();
  await page.getByTestId('part-gone').click();
  await page.getByTestId('part-bearing').click();
  await page.getByTestId('say-two').click();
  // What settles a fault is asked back once.
  await page.getByTestId('settles-yes').click();
  await page.getByText(traceWords.verdictBoth).waitFor();
});
