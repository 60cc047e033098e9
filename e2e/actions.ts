import { exactly } from '@patient-badger/wording/testing';
import { t as close } from '@patient-badger/wording/close';
import { t as access } from '@patient-badger/wording/access';
import { t as photo } from '@patient-badger/wording/photo';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import { likeliestResults, packModel, SOUND, waysAlone, type FaultMode, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Locator, Page } from 'playwright-core';
import { PNG } from 'pngjs';

/** Things a mechanic does, as the tests do them: by the names on the screen. */
export const button = (page: Page | Locator, name: string | RegExp) => page.getByRole('button', { name }).first();
export const radio = (page: Page, name: string | RegExp) => page.getByRole('radio', { name, exact: typeof name === 'string' }).first();
export const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name }).first();
export const link = (page: Page, name: string | RegExp) => page.getByRole('link', { name }).first();

/** Waits until it reads so: what the screen is still working out is not yet its answer. Fails with what stood there last. */
export async function shows(shown: Locator, wanted: string | RegExp): Promise<void> {
  await shown
    .filter({ hasText: wanted })
    .waitFor()
    .catch(async () => expect(await shown.textContent()).toMatch(wanted));
}
export const showsExactly = (shown: Locator, wanted: string) => shows(shown, exactly(wanted));

export async function arrive(page: Page, address: string, person: string): Promise<void> {
  await page.goto(address);
  await button(page, person).click();
  await link(page, `${person} is at the bench`).waitFor();
}

/** On "You and this device": somebody else takes it over by PIN. */
export async function handOver(page: Page, person: string, pin = '2580'): Promise<void> {
  await radio(page, new RegExp(`^${person}`)).click();
  await page.getByLabel(`PIN of ${person}`).fill(pin);
  await page.getByTestId('prove').click();
  await link(page, `${person} is at the bench`).waitFor();
}

/** Somebody signs what they just pressed with their PIN. */
export async function signByPin(page: Page, person: string, pin = '2580'): Promise<void> {
  await page.getByLabel(`PIN of ${person}`).fill(pin);
  await page.getByTestId('prove').click();
  await page.getByLabel(`PIN of ${person}`).waitFor({ state: 'detached' });
}

export async function takeIn(page: Page, machine: RegExp, complaint: string): Promise<void> {
  await button(page, shared.takeInAMachine).click();
  await button(page, machine).click();
  await button(page, complaint).click();
  await page.getByTestId('start-job').click();
  await page.getByTestId('do-look').waitFor();
}

/** Answers the file chooser that "Take a photo" opens, with a file on disk as a camera leaves one. */
export async function takePhoto(page: Page, name: string, bytes: Buffer): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'badger-photo-')), name);
  await writeFile(file, bytes);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), button(page, photo.takeAPhoto).click()]);
  await chooser.setFiles(file);
}

/** Presses each button of a kind until none is left, waiting each time for the screen to have taken it. */
async function pressAll(page: Page, selector: string): Promise<void> {
  for (let i = 0; i < 30; i++) {
    const found = page.locator(selector).first();
    if (!(await found.isVisible())) return;
    await confirmCautions(page);
    await clearTheWay(page);
    // Looked at in one go: what was there a moment ago may be done with, by the press before this one.
    const label = await page
      .locator(selector)
      .evaluateAll((all) => all.find((one) => one.ariaDisabled !== 'true')?.getAttribute('aria-label') ?? null);
    if (label === null) {
      await page.waitForTimeout(50);
      continue;
    }
    await page.getByRole('button', { name: label, exact: true }).click();
    await page.getByRole('button', { name: label, exact: true }).waitFor({ state: 'detached' });
  }
}

/** Leaves positions out, cuts times short and calls everything back where it was: for stories that are about something else. */
export async function clearTheWay(page: Page): Promise<void> {
  for (const [open, confirm] of [
    ['[data-testid^="leave-"]:not([data-testid$="-confirm"])', '[data-testid^="leave-"][data-testid$="-confirm"]'],
    ['[data-testid^="cut-"]:not([data-testid$="-confirm"])', '[data-testid^="cut-"][data-testid$="-confirm"]'],
  ] as const) {
    for (let left = await page.locator(open).count(); left > 0; left = await page.locator(open).count()) {
      await page.locator(open).first().click();
      await page.getByLabel(/^Why /).last().fill('Not in this story');
      await page.locator(confirm).click();
      for (let i = 0; i < 100 && (await page.locator(open).count()) >= left; i++) await page.waitForTimeout(20);
    }
  }
  const restored = page.locator('[data-testid^="restored-"]:not([aria-disabled="true"])');
  for (let left = await restored.count(); left > 0; left = await restored.count()) {
    await restored.first().click();
    for (let i = 0; i < 100 && (await restored.count()) >= left; i++) await page.waitForTimeout(20);
  }
}

export async function confirmCautions(page: Page): Promise<void> {
  const cautions = page.getByRole('button', { name: shared.doneSoITakeCare });
  for (let left = await cautions.count(); left > 0; left = await cautions.count()) {
    await cautions.first().click();
    for (let i = 0; i < 100 && (await cautions.count()) >= left; i++) await page.waitForTimeout(20);
  }
}

/** Confirms cautions and does steps until nothing stands between the hand and the look. */
export async function openUp(page: Page): Promise<void> {
  await page.getByRole('heading', { name: traceWords.whatDoYouSee }).waitFor();
  await pressAll(page, '[data-testid^="back-"]');
  await pressAll(page, '[data-testid="steps-done"]');
  await pressAll(page, '[data-testid="step-done"]');
  await confirmCautions(page);
}

/** What an honest saw with this fault shows at each look; the rest is as on a sound one. */
export type Truth = Readonly<Record<string, string>>;

/** What each look most likely shows on a machine with this fault, as the family has it. */
export function honest(family: string, fault: string, mode?: FaultMode): Truth {
  const pack = findFamily(family) as Pack;
  const model = packModel(pack);
  const ways = waysAlone(model.hypotheses, fault);
  return likeliestResults(model, (ways.find(({ faults }) => faults[0]?.mode === mode) ?? ways[0])?.id ?? '');
}

/** What each look most likely shows on a machine on which nothing is wrong. */
export const allSound = (family: string): Truth => likeliestResults(packModel(findFamily(family) as Pack), SOUND);

/** Says what a look shows: with the instrument where it is wanted and there is one, else by pressing. */
export async function answer(page: Page, result: string, byInstrument = false): Promise<void> {
  const instrument = page.locator('[data-testid^="read-"]').first();
  if (byInstrument && (await instrument.isVisible())) {
    const take = page.getByTestId('take-reading');
    for (let i = 0; i < 15 && !(await take.isVisible()); i++) {
      // A connection that is lost is tried again, as the sentence on the screen says.
      await instrument.click();
      await take
        .or(page.getByText('does not answer', { exact: false }))
        .first()
        .waitFor();
    }
    return take.click();
  }
  const parts = result.split('+');
  if (parts.length > 1) {
    await page.getByTestId('two-at-once').click();
    for (const part of parts) await page.getByTestId(`part-${part}`).click();
    return page.getByTestId('say-two').click();
  }
  if (!(await page.getByTestId('say-both').isVisible())) return page.getByTestId(`result-${result}`).click();
  for (const [i, side] of result.split('-').entries()) await page.getByTestId(`side-${i}-${side}`).click();
  await page.getByTestId('say-both').click();
}

/** The look was left, or what was pressed is asked back. */
export const settledOrLeft = (page: Page) =>
  Promise.any([page.waitForURL((url) => !url.pathname.includes('/look/')), page.getByTestId('settles-yes').waitFor()]);

/** What settles a fault is asked back once. */
export async function confirmSettled(page: Page): Promise<void> {
  const yes = page.getByTestId('settles-yes');
  await settledOrLeft(page);
  if (await yes.isVisible()) await yes.click();
}

/** Answers the look that lies open on the tracing itself. */
async function answerHere(page: Page, truth: Truth, open: (page: Page) => Promise<void>): Promise<string> {
  const id = (await page.locator('[data-testid^="here-"]').getAttribute('data-testid')) ?? '';
  const look = id.slice('here-'.length);
  const result = truth[look];
  if (!result) throw new Error(`the test does not know what ${look} shows`);
  await open(page);
  await answer(page, result);
  const yes = page.getByTestId('settles-yes');
  const asked = page.getByTestId(id).and(page.locator(':not(:has([data-testid="settles-yes"]))'));
  await asked.waitFor({ state: 'detached' });
  if (await yes.isVisible()) await yes.click();
  await page.getByTestId(id).waitFor({ state: 'detached' });
  return look;
}

interface HowToLook {
  readonly byInstrument?: boolean;
  /** Opens what a look needs, on its own screen. */
  readonly open?: (page: Page) => Promise<void>;
  /** Opens what it needs on the tracing itself, and answers there; without it each look is taken on its own screen. */
  readonly here?: (page: Page) => Promise<void>;
}

/** Follows the advice, look after look, until the app names a verdict, or says that it is probably nothing on the list. Returns the looks taken. */
export async function trace(page: Page, truth: Truth, { byInstrument = false, open = openUp, here }: HowToLook = {}): Promise<string[]> {
  const taken: string[] = [];
  for (let i = 0; i < 20; i++) {
    const verdict = button(page, shared.seeTheReasonsAndDecide);
    const next = page.getByTestId('do-look');
    const none = page.getByTestId('none-leads');
    await verdict.or(next).or(none).first().waitFor();
    if ((await verdict.isVisible()) || (await none.isVisible())) return taken;
    const shown = page.locator('[data-testid^="here-"]');
    if (here && (await shown.isVisible())) {
      taken.push(await answerHere(page, truth, here));
      continue;
    }
    await next.click();
    await page.waitForURL(/\/look\//);
    const look = page.url().split('/').at(-1) ?? '';
    await open(page);
    const result = truth[look];
    if (!result) throw new Error(`the test does not know what ${look} shows`);
    await answer(page, result, byInstrument);
    await confirmSettled(page);
    await page.waitForURL((url) => !url.pathname.includes('/look/'));
    taken.push(look);
  }
  throw new Error(`no verdict after ${taken.join(', ')}`);
}

export async function read(page: Page, quantity: string, keys: string): Promise<void> {
  await page.getByTestId(`callout-${quantity}`).click();
  await keepTyped(page, keys);
}

/** Imke at the job of a machine; answers its address. */
export async function toJob(page: Page, address: string, machine: RegExp): Promise<string> {
  await arrive(page, address, 'Imke');
  await link(page, machine).click();
  await page.waitForURL(/\/jobs\//);
  return /^.*\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? '';
}

/** The worn pinion of the ticket-office wall: module 3, 11 teeth shifted by 0.35, as cut 41.1 over the tips, 14.47 over two teeth, 27.6 at the root. */
export async function readSlidePinion(page: Page, faceWidthMm = '10'): Promise<void> {
  await read(page, 'teeth', '11');
  await read(page, 'tipDiameterMm', '41.02');
  await page.getByTestId('callout-spanMm').click();
  await button(page, '−').click();
  await keepTyped(page, '14.40');
  // Without the root it could as well be 8 DP, not shifted.
  await read(page, 'rootDiameterMm', '27.58');
  await read(page, 'boreDiameterMm', '12.02');
  await read(page, 'faceWidthMm', faceWidthMm);
}

/** Measures a dimension of a part that arrived. */
export async function inspect(page: Page, quantity: string, keys: string): Promise<void> {
  await page.getByTestId(`receive-${quantity}`).click();
  await keepTyped(page, keys);
}

export async function keepTyped(page: Page, keys: string): Promise<void> {
  await page.getByTestId('pad-display').waitFor();
  for (const key of keys) await page.keyboard.press(key);
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('pad-display').waitFor({ state: 'detached' });
}

/** Everything that can be proved before it goes home holds: one after the other, as each is kept. */
export async function proveAll(page: Page): Promise<void> {
  await page
    .getByTestId(/^passed-/)
    .first()
    .waitFor();
  for (const row of await page.getByTestId(/^passed-/).all()) {
    await row.click();
    await page.locator(`[data-testid="${await row.getAttribute('data-testid')}"][aria-checked="true"]`).waitFor();
  }
}

/** What is not set, or not fitted, is said in the note. */
export const sayWhy = (page: Page) => page.getByLabel(close.noteForNextTime).fill('set by the sheet');

/** The way back, the proof and the closing. */
export async function closeUp(page: Page): Promise<void> {
  await page.getByRole('heading', { name: access.theWayBack }).waitFor();
  await pressAll(page, '[data-testid="pieces-done"]');
  await pressAll(page, '[data-testid^="back-"]');
  await proveAll(page);
  await sayWhy(page);
  await page.getByTestId('close-job').click();
  await page.getByText(/^Finished \d/).waitFor();
}

const SOUND_SAW: Truth = {
  ...allSound('saw-oil-pump'),
  'tank-level': 'full',
  'oil-feel': 'right',
  'wet-underneath': 'dry',
  'chain-runs': 'runs',
  'paper-test': 'none',
  'fresh-oil': 'same',
  'vent-open': 'same',
  'filter-fish': 'clean',
  'hose-pliable': 'pliable',
  'passage-wire': 'clear',
  'oil-at-pad': 'none',
  'drum-tabs': 'whole',
  'drum-watch-arm': 'turns',
  'chips-on-worm': 'some',
  'worm-under-light': 'sharp',
  'worm-watch-pinion': 'turns',
  'arm-watch-worm': 'turns',
  'worm-against-new': 'same',
  'pinion-by-finger': 'oil',
  'cup-feed': 'oil',
  'plunger-play': 'snug',
  'seal-look': 'whole',
};
export const PACKED: Truth = { ...SOUND_SAW, 'drum-tabs': 'hidden', 'chips-on-worm': 'packed', 'worm-watch-pinion': 'less' };
export const STRIPPED: Truth = { ...SOUND_SAW, 'worm-under-light': 'stripped', 'worm-watch-pinion': 'still', 'worm-against-new': 'worn' };

/** A photo as a camera leaves one: stripes, so that something is to be seen. */
export function aPhoto(): Buffer {
  const image = new PNG({ width: 320, height: 240 });
  for (let i = 0; i < 320 * 240; i++) image.data.set(i % 37 < 18 ? [140, 140, 132, 255] : [96, 74, 52, 255], i * 4);
  return PNG.sync.write(image);
}
