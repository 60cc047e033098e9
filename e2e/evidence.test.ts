import { containing } from '@patient-badger/wording/testing';
import { t as intake } from '@patient-badger/wording/intake';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import type { Page } from 'playwright-core';
import { answer, arrive, button, confirmCautions, confirmSettled, heading, honest, takeIn, trace } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

/** Says what looks of this job show, wherever the advice stands, each as `look:result`. */
async function see(page: Page, ...seen: string[]): Promise<void> {
  const [job = ''] = /^.*\/jobs\/[^/]+/.exec(page.url()) ?? [];
  for (const sight of seen) {
    const [look = '', result = ''] = sight.split(':');
    await page.goto(`${job}/look/${look}`);
    await heading(page, traceWords.whatDoYouSee).waitFor();
    await confirmCautions(page);
    await answer(page, result);
    await confirmSettled(page);
    await page.waitForURL(job);
  }
}

test('an owner says two things: both are taken, and both move the odds, with the reason', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await button(page, shared.takeInAMachine).click();
  await button(page, /Island lorry/).click();
  await button(page, 'Much play at the wheel').click();
  await button(page, 'Stiff at one place').click();
  await button(page, 'Box always empty').click();
  await page.getByText(intake.takenAsAllOfThese).waitFor();
  // Pressed by mistake, and taken back.
  await button(page, 'Not “Stiff at one place”').click();
  await page.getByLabel(intake.whatDoesTheOwnerSay).fill('Wanders, and there is always a drop under it');
  await page.getByTestId('start-job').click();
  await page.getByText('“Wanders, and there is always a drop under it”').waitFor();
  for (const said of ['Much play at the wheel', 'Box always empty']) await page.getByText(`Because the owner says “${said}”`).waitFor();
  const kept = `SELECT payload->'complaints' AS complaints FROM entries WHERE payload->>'complaint' LIKE 'Wanders,%'`;
  await inTime(stage.databaseUrl, kept, [{ complaints: ['play', 'leaks'] }]);
});

test('a cure that works ends the search once the complaint was looked for again', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Pruning saw/, 'Chain runs dry, no oil on the bar');
  await see(page, 'oil-feel:thick', 'paper-test:weak', 'vent-open:flows');
  await page.getByText(traceWords.nextToBeLookedAt).waitFor();
  await heading(page, 'Paper test with the chain running').waitFor();
  await page.reload();
  await see(page, 'paper-test:line');
  await heading(page, 'Tank vent blocked').waitFor();
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByText(traceWords.noGearToBuy).waitFor();
});

test('two things seen under one lamp are one verdict, and each is named', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Keeper’s car, parking brake/, 'Motor runs, brake does not hold');
  await see(page, 'listen:runs', 'gear-lamp:teeth+dry');
  await page.getByText(traceWords.verdictBoth).waitFor();
  await heading(page, 'Reduction gear snapped').waitFor();
  await heading(page, 'And: Spindle dry and stiff').waitFor();
});

test('what is left when all else is out is looked at before it is named; then looking on ends where it does not pay', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /School lawn tractor/, 'Wheel turns and steers nothing');
  await see(
    page,
    'rim-play:large',
    'wheel-watch-shaft:turns',
    'links-look:good',
    'wheel-watch-both:still-still',
    'shaft-watch-pinion:turns',
  );
  await page.getByText(traceWords.nextToBeLookedAt).waitFor();
  await page.getByText(containing(traceWords.standsFirstAndNothingThat('Sector teeth stripped').trim())).waitFor();
  expect(await page.getByText(traceWords.verdict).count()).toBe(0);
  await see(page, 'teeth-lamp:gap');
  await heading(page, 'Sector teeth stripped').waitFor();
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('go-on').click();
  const taken = await trace(page, honest('sector-steering', 'sector-stripped', 'open'));
  expect(taken.length).toBeLessThan(12);
  await heading(page, /^Nothing else on this list|^Not worth looking for more/).waitFor();
});
