import { problemSentence } from '@patient-badger/wording';
import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as access } from '@patient-badger/wording/access';
import { t as bench } from '@patient-badger/wording/bench';
import { t as close } from '@patient-badger/wording/close';
import { t as families } from '@patient-badger/wording/families';
import { t as intake } from '@patient-badger/wording/intake';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import { findFamily } from '@patient-badger/knowledge';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import {
  answer,
  allSound,
  arrive,
  button,
  clearTheWay,
  handOver,
  signByPin,
  heading,
  honest,
  link,
  openUp,
  radio,
  settledOrLeft,
  takeIn,
  trace,
} from './actions.ts';
import { inTime, PHONE, start, WIDE, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('a cargo bike that hums, on the phone: traced to its stripped nylon gear', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Cargo bike/).click();
  const taken = await trace(page, honest('mid-drive-motor', 'nylon-stripped'));
  expect(taken.length).toBeGreaterThan(1);
  await button(page, shared.seeTheReasonsAndDecide).click();
  await heading(page, /nylon/i).waitFor();
});

test('a dead post van, on the phone: traced to the worm wheel, each look with its opening steps', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Post van/).click();
  await trace(page, honest('dash-odometer-motor', 'wheel-teeth', 'open'));
  await button(page, shared.seeTheReasonsAndDecide).click();
  await heading(page, setup.teeth).waitFor();
});

test('a mower that does not pull, on the phone with the drill bench: its count is read and taken', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /North orchard walk mower/, 'Does not pull');
  // The drill bench is set up first, whatever the advice would begin with.
  const job = page.url();
  await page.goto(`${job}/look/pulley-watch-both`);
  await openUp(page);
  await answer(page, 'turns-turns', true);
  await page.waitForURL((url) => !url.pathname.includes('/look/'));
  await trace(page, honest('walk-drive-gearbox', 'pin-jammed'), { byInstrument: true });
  await button(page, shared.seeTheReasonsAndDecide).click();
  await heading(page, /pin/i).waitFor();
  const read = [{ instrument: 'drillBench', result: 'turns-turns' }];
  const asked = `SELECT payload->'reading'->>'instrument' AS instrument, payload->>'result' AS result FROM entries WHERE payload->>'look' = 'pulley-watch-both'`;
  await inTime(stage.databaseUrl, asked, read);
});

test('a tractor that steers nothing, at the counter by keyboard alone, to the verdict and the second check', async () => {
  const { page } = await stage.device(WIDE);
  await arrive(page, stage.address, 'Imke');
  await link(page, /School lawn tractor/).focus();
  await page.keyboard.press('Enter');
  await heading(page, shared.seenSoFar).waitFor();
  expect(await page.getByText(shared.safetyCriticalJob).isVisible()).toBe(true);
  const truth = honest('sector-steering', 'sector-stripped', 'open');
  for (let i = 0; i < 15; i++) {
    const verdict = button(page, shared.seeTheReasonsAndDecide);
    await verdict.or(page.getByTestId('do-look')).first().waitFor();
    if (await verdict.isVisible()) break;
    await page.keyboard.press('l');
    await page.waitForURL(/\/look\//);
    await openByKeys(page);
    await answerByKeys(page, truth[page.url().split('/').at(-1) ?? ''] ?? '');
    await settledOrLeft(page);
    if (await page.getByTestId('settles-yes').isVisible()) await page.keyboard.press('Enter');
    await page.waitForURL((url) => !url.pathname.includes('/look/'));
  }
  await page.keyboard.press('v');
  await heading(page, /Sector teeth stripped/).waitFor();
  await page.getByTestId('decide').focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/gear\//);
  await button(page, shared.setItRightAndProve).click();

  await page.getByTestId('close-job').click();
  await page.getByText(close.somebodyElseMustLookIt).waitFor();
  expect(await page.getByText('You had a hand in it yourself, Imke.', { exact: false }).isVisible()).toBe(true);
  await link(page, 'Imke is at the bench').click();
  await handOver(page, 'Tobin');
  await page.goBack();
  await page.getByTestId('second-check').click();
  // Signed at that moment, by the PIN of who looked it over.
  await signByPin(page, 'Tobin');
  await page.getByText(close.lookedOverBy('Tobin')).waitFor();
});

test('one half of an auger stands: its pin is found, the tracing goes on, and nothing else is wrong', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Lighthouse road snowblower/).click();
  const truth = honest('auger-gearbox', 'left-pin');
  await trace(page, truth);
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('go-on').click();
  await page.getByText(traceWords.foundAlreadyLookingForA).waitFor();
  await trace(page, truth);
  await heading(page, /^(Nothing else on this list|Not worth looking for more)/).waitFor();
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('decide').click();
  await heading(page, access.theWayBack).waitFor();
  expect(await page.getByText('Left shear pin sheared').first().isVisible()).toBe(true);
});

test('the mechanic’s own order: a place is pressed, its look is taken, and what was seen can be none of the list', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Ferry van/, 'Motor hums, it does not fold');
  await button(page, /^Worm drives the wheel/).click();
  await button(page, /^Wheel and worm under the lamp/).click();
  await openUp(page);
  await page.getByTestId('result-whole').click();
  await page.getByText(shared.takeTheLastLookBack).click();
  await page.getByText(shared.nothingYet).waitFor();
  await button(page, traceWords.decideWithoutMoreLooks).click();
  await page.getByLabel(traceWords.whatWasIt).fill('A wasp nest in the housing');
  await page.getByTestId('decide-other').click();
  await page.getByText('A wasp nest in the housing').first().waitFor();
});

test('a family is found by the owner’s words, its chain runs beside one with a fault, and a machine of it is taken in', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, bench.families).click();
  await page.getByLabel(families.whatDoesTheOwnerSay).fill('wall goes out crooked');
  await link(page, 'Slide with two racks').click();
  await radio(page, /Right pinion pack worn/).click();
  await page.getByText('with it: travels, but less than it should').first().waitFor();
  await button(page, families.takeInAMachineOf).click();
  await button(page, /Ticket-office wall/).click();
  await page.getByLabel(intake.whatDoesTheOwnerSay).fill('the wall comes out all croked, and the lights dim');
  await button(page, /^Does it mean: Goes out crooked/).waitFor();
  await page.getByTestId('mean-all').click();
  await page.getByText(intake.takenAsAllOfThese).waitFor();
  await page.getByTestId('start-job').click();
  await page.getByText('Because the owner says “Goes out crooked”', { exact: false }).first().waitFor();
});

test('a family of the shop’s own: mistakes are named, the mended file is kept, a machine of it is traced', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await page.goto(`${stage.address}/families/import`);
  const own = { ...structuredClone(findFamily('trimmer-bevel-head')), id: 'hedge-head', name: 'Hedge cutter head' };
  await choose(page, 'broken.json', '{ "id": ');
  await page.getByText(containing(shared.noJsonFile('broken.json', ANYTHING))).waitFor();
  await choose(page, 'half.json', JSON.stringify({ ...own, name: undefined, faults: [] }));
  await page.getByText(families.cannotBeUsedYet('half.json', 2, families.mistakes)).waitFor();
  await choose(page, 'taken.json', JSON.stringify({ ...own, id: 'auger-gearbox' }));
  await page.getByTestId('keep-family').click();
  await page.getByText(problemSentence('familyShips'), { exact: false }).waitFor();
  await choose(page, 'hedge.json', JSON.stringify(own));
  await page.getByTestId('keep-family').click();
  await page.waitForURL(/families\/hedge-head/);
  await button(page, families.takeInAMachineOf).click();
  await button(page, intake.itIsNotOnThe).click();
  await page.getByLabel(shared.whatYouCallIt).fill('Hedge cutter');
  await button(page, shared.writeItDown).click();
  await button(page, 'Engine revs, the head stands').click();
  await page.getByTestId('start-job').click();
  await trace(page, honest('trimmer-bevel-head', 'teeth-stripped', 'open'));
  await page.reload();
  await button(page, shared.seeTheReasonsAndDecide).waitFor();
});

async function choose(page: Page, name: string, text: string): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'badger-family-')), name);
  await writeFile(file, text);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('choose-file').click()]);
  await chooser.setFiles(file);
}

/** Confirms cautions and does steps by their keys until nothing stands between the hand and the look. */
async function openByKeys(page: Page): Promise<void> {
  await heading(page, traceWords.whatDoYouSee).waitFor();
  for (let i = 0; i < 40; i++) {
    const cautions = await button(page, shared.doneSoITakeCare).count();
    const step = page.getByTestId('step-done');
    if (cautions === 0 && (await step.count()) === 0) return;
    if (cautions === 0) await clearTheWay(page);
    await page.keyboard.press(cautions > 0 ? 'c' : 'Space');
    await page.waitForTimeout(120);
  }
  throw new Error('the look was never open');
}

/** Presses the digit that stands beside a result, or a digit for each side and then Enter. */
async function answerByKeys(page: Page, result: string): Promise<void> {
  const sides = result.split('-');
  if (await page.getByTestId('say-both').count()) {
    for (const [i, side] of sides.entries()) {
      const ids = await page
        .locator(`[data-testid^="side-${i}-"]`)
        .evaluateAll((all) => all.map((each) => each.getAttribute('data-testid')));
      await page.keyboard.press(String(ids.indexOf(`side-${i}-${side}`) + 1));
      await page.waitForTimeout(60);
    }
    return page.keyboard.press('Enter');
  }
  const ids = await page.locator('[data-testid^="result-"]').evaluateAll((all) => all.map((each) => each.getAttribute('data-testid')));
  return page.keyboard.press(String(ids.indexOf(`result-${result}`) + 1));
}

test('a mower on which every look is as it should be: nothing on the list, and it is closed in one’s own words', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /North orchard walk mower/, 'Does not pull');
  const taken = await trace(page, allSound('walk-drive-gearbox'));
  expect(taken.length).toBeGreaterThan(2);
  await heading(page, traceWords.probablyNothingOnThisList).waitFor();
  await page.getByText(traceWords.outsideTheChain('')).waitFor();
  expect(await page.getByText(traceWords.verdict, { exact: false }).count()).toBe(0);
  await button(page, traceWords.sayWhatItWasOr).click();
  await page.getByLabel(traceWords.whatWasIt).fill('Grass wound round the far wheel');
  await page.getByTestId('decide-other').click();
  await heading(page, access.theWayBack).waitFor();
  const kept = `SELECT payload->>'fault' AS fault FROM entries WHERE payload->>'note' = 'Grass wound round the far wheel'`;
  await inTime(stage.databaseUrl, kept, [{ fault: 'none-of-these' }]);
});
