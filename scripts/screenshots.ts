import { t as access } from '@patient-badger/wording/access';
import { t as book } from '@patient-badger/wording/book';
import { t as gear } from '@patient-badger/wording/gear';
import { t as learning } from '@patient-badger/wording/learning';
import { t as machineWords } from '@patient-badger/wording/machine';
import { t as match } from '@patient-badger/wording/match';
import { t as practice } from '@patient-badger/wording/practice';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import { mkdir, readFile } from 'node:fs/promises';
import {
  arrive,
  button,
  clearTheWay,
  closeUp,
  confirmCautions,
  link,
  PACKED,
  proveAll,
  radio,
  read,
  STRIPPED,
  takeIn,
  trace,
  sayWhy,
} from '../e2e/actions.ts';
import jpeg from 'jpeg-js';
import { gearPhoto } from '../packages/core/src/scan/gearPhoto.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { PHONE, start, WIDE } from '../e2e/stage.ts';

// Pictures for the docs, made from the demo data: npm run screenshots (after the app is built).
function gearJpeg(): Buffer {
  const { width, height, rgba } = gearPhoto({
    teeth: 41,
    missing: [5, 6],
    chipped: [20],
    random: seeded(12),
    width: 1000,
    height: 760,
    tiltDeg: 8,
    specks: 30,
    blots: 2,
  });
  return jpeg.encode({ width, height, data: rgba }, 85).data;
}

const folder = 'docs/screenshots';
await mkdir(folder, { recursive: true });
const stage = await start();
try {
  const { page } = await stage.device(PHONE);
  const shoot = async (name: string) => {
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  await page.goto(stage.address);
  await button(page, 'Tobin').waitFor();
  await arrive(page, stage.address, 'Tobin');
  // The next moves are worked out beside the record when the bench is first looked at.
  await link(page, /Orchard saw.*Next look/).waitFor();
  await shoot('bench-phone');
  await link(page, /School lawn tractor/).click();
  await page.getByTestId('do-look').waitFor();
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, 660);
  await shoot('trace-phone');
  await page.goto(`${stage.address}/families/slide-rack-drive`);
  await radio(page, /Right pinion pack worn/).click();
  await page.getByText('Cross shaft', { exact: true }).first().scrollIntoViewIfNeeded();
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, 420);
  await shoot('motion-phone');

  await page.goto(stage.address);
  await link(page, /Post van/).click();
  await link(page, shell.open).click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-wheel').click();
  await page.getByTestId('other-place').click();
  await confirmCautions(page);
  await page.getByTestId('step-done').click();
  await page.getByLabel(access.minutesFromTheMakersManual).fill('5');
  await page.getByTestId('start-airbag').click();
  await page.getByTestId('left-airbag').waitFor();
  await page.mouse.move(195, 400);
  await page.mouse.wheel(0, 240);
  await shoot('open-phone');
  await clearTheWay(page);
  await confirmCautions(page);
  await page.getByTestId('step-done').click();
  await button(page, 'Done: Back cover off').waitFor();
  await button(page, access.theTray).click();
  await page.getByText(access.onTheBenchWithOnTray(access.piecesLie)).waitFor();

  await takeInFromBench(/Pruning saw/, 'Chain runs dry, no oil on the bar');
  await trace(page, PACKED);
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('decide').waitFor();
  await shoot('verdict-phone');
  await page.getByTestId('decide').click();
  await page.getByRole('heading', { name: access.theWayBack }).waitFor();
  await shoot('close-phone');
  await closeUp(page);

  await takeInFromBench(/Hedge saw/, 'Uses no oil at all, tank stays full');
  await trace(page, STRIPPED);
  await button(page, shared.seeTheReasonsAndDecide).click();
  await page.getByTestId('decide').click();
  await read(page, 'tipDiameterMm', '14.35');
  await read(page, 'axialPitch', '8.8');
  await page.getByTestId('callout-boreDiameterMm').click();
  await radio(page, 'in').click();
  for (const key of '11/32') await page.keyboard.press(key);
  await radio(page, 'mm').click();
  await button(page, shared.close).click();
  await read(page, 'starts', '1');
  await read(page, 'boreDiameterMm', '9.01');
  await read(page, 'faceWidthMm', '7.02');
  await radio(page, gear.rightHandThread).click();
  await page.getByTestId('find-parts').waitFor();
  await shoot('gear-phone');
  await page.getByTestId('find-parts').click();
  await page.locator('[data-testid^="table-"]').first().click();
  await page.getByRole('table').scrollIntoViewIfNeeded();
  await shoot('fit-phone');
  await page
    .getByTestId(/^choose-/)
    .first()
    .click();
  await button(page, match.setUpAndProve).click();
  await page.getByTestId('fitted').click();
  await closeUp(page);
  await page.getByTestId('learnt').getByText('starts', { exact: false }).waitFor();
  await page.getByTestId('write-book').click();
  await page.getByText(book.whatThisJobLearntStands).waitFor();
  await page.goto(`${stage.address}/machines`);
  await button(page, /Hedge saw/).click();
  await button(page, machineWords.changeWhatIsOnRecord).waitFor();
  await shoot('machine-phone');
  await button(page, /^The book of/).click();
  await page.getByRole('heading', { name: shared.parts }).waitFor();
  await shoot('book-phone');

  await page.setViewportSize(WIDE);
  await page.goto(stage.address);
  await link(page, /Orchard saw/).waitFor();
  await link(page, /Cargo bike/).click();
  await page.getByTestId('do-look').waitFor();
  await shoot('trace-wide');
  await page.goto(`${stage.address}/parts`);
  await page.getByTestId('catalogue-text').fill('slide');
  await page.getByRole('checkbox', { name: /Slide pinion pack, wide/ }).waitFor();
  await shoot('catalogue-wide');

  await page.setViewportSize(PHONE);
  await page.goto(`${stage.address}/practice?family=saw-oil-pump`);
  // The same machine each time.
  await page.evaluate(() => {
    crypto.getRandomValues = (list) => list;
  });
  await radio(page, practice.second).click();
  await page.getByTestId('practice-begin').click();
  for (const look of ['oil-feel', 'paper-test', 'chips-on-worm']) {
    await page.getByTestId(`practice-look-${look}`).click();
    await page.getByTestId('practice-take').click();
    await page.getByTestId('practice-shown').waitFor();
    await page.getByTestId('practice-close').click();
  }
  await page.getByTestId('practice-name').click();
  await page.getByTestId('verdict-chips-packed').click();
  await page.getByTestId('practice-outcome').waitFor();
  await shoot('practice-phone');

  await takeInFromBench(/Orchard tractor/, 'Clicks in second only');
  const tractor = page.url().split('?')[0] ?? '';
  await page.goto(`${tractor}/gear/gear`);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  await chooser.setFiles({ name: 'gear.jpg', mimeType: 'image/jpeg', buffer: gearJpeg() });
  await page.getByTestId('scan-teeth').waitFor();
  await shoot('scan-phone');
  await page.goto(stage.address);
  await link(page, /motorcycle/).click();
  await page.waitForURL(/\/jobs\//);
  const deciding = page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
  await page.goto(`${deciding}/verdict`);
  await page.getByTestId('decide').first().click();
  await page.waitForURL(/\/(close|gear)/);
  await page.goto(`${deciding}/decide`);
  for (const [option, price] of [
    ['pair-new', '450'],
    ['box-overhauled', '900'],
  ] as const) {
    await page.getByTestId(`change-${option}`).click();
    await page.getByTestId('opt-parts').fill(price);
    await page.getByTestId('keep-option').click();
    await page.getByTestId('keep-option').waitFor({ state: 'detached' });
  }
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, -3000);
  await shoot('decide-phone');
  await page.goto(stage.address);
  await link(page, /Post van/).click();
  await page.waitForURL(/\/jobs\//);
  await page.goto(`${page.url().replace(/(\/jobs\/[^/?]+).*/, '$1')}/make/wheel`);
  for (const [name, text] of [
    ['wheelTeeth', '24'],
    ['moduleMm', '0.5'],
    ['wormDiameterMm', '8'],
    ['faceMm', '4'],
    ['boreMm', '3'],
  ] as const)
    await page.getByTestId(`make-${name}`).fill(text);
  await page.getByTestId('pair').waitFor();
  await page.mouse.wheel(0, -3000);
  await shoot('make-phone');

  await takeInFromBench(/Island lorry/, 'Much play at the wheel');
  const lorry = page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
  await page.goto(`${lorry}/setup`);
  await page.getByTestId('open-sleeve').click();
  await page.getByTestId('setup-wanted').fill('0.15');
  for (const [angle, backlash] of [
    ['0', '0.30'],
    ['90', '0.20'],
    ['180', '0.10'],
  ] as const) {
    await page.getByTestId('setup-angle').fill(angle);
    await page.getByTestId('setup-backlash').fill(backlash);
    await page.getByTestId('keep-trial').click();
    await page.getByText(`${angle}°: `, { exact: false }).first().waitFor();
  }
  await page.getByTestId('next-angle').scrollIntoViewIfNeeded();
  await shoot('setup-phone');

  await page.goto(stage.address);
  await link(page, /Old estate car/).click();
  await page.waitForURL(/\/jobs\//);
  const car = page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
  await page.goto(`${car}/verdict`);
  await page.getByTestId('decide').first().click();
  await page.waitForURL((url) => !url.pathname.endsWith('/verdict'));
  await page.goto(`${car}/close`);
  await page.getByTestId('speed-shown').waitFor();
  await confirmCautions(page);
  for (const [shown, reference] of [
    ['30', '29.3'],
    ['50', '48.8'],
    ['80', '78.6'],
    ['100', '98'],
  ] as const) {
    await page.getByTestId('speed-shown').fill(shown);
    await page.getByTestId('speed-reference').fill(reference);
    await page.getByTestId('keep-speed').click();
  }
  await page.getByTestId('speed-found').scrollIntoViewIfNeeded();
  await page.getByTestId('speed-kept').click();
  await page.waitForTimeout(400);
  const proving = (await page.screenshot()).toString('base64');
  await proveAll(page);
  await page.getByTestId('put-later').click();
  await sayWhy(page);
  await page.getByTestId('close-job').click();
  await page.getByText(/^Finished \d/).waitFor();
  await page.getByTestId('figures').scrollIntoViewIfNeeded();
  await page.waitForTimeout(400);
  const record = (await page.screenshot()).toString('base64');
  await page.goto(`${stage.address}/learnt`);
  await radio(page, learning.comesBack).click();
  await shoot('learnt-phone');

  // The whole walk in one picture.
  const kept = async (name: string) => (await readFile(`${folder}/${name}-phone.png`)).toString('base64');
  const walk: readonly (readonly [string, string])[] = [
    [shell.trace, await kept('trace')],
    [shell.open, await kept('open')],
    [shell.measure, await kept('gear')],
    [shell.match, await kept('fit')],
    [shared.decide, await kept('decide')],
    [shared.setUp, await kept('setup')],
    ['Prove', proving],
    ['Record', record],
  ];
  await page.setViewportSize({ width: 1000, height: 990 });
  await page.setContent(
    `<body style="margin:0;padding:12px;display:grid;grid-template-columns:repeat(4,1fr);gap:12px;background:#e7e3d7;font:600 17px sans-serif">${walk
      .map(
        ([name, png]) =>
          `<figure style="margin:0;text-align:center"><img style="width:100%;display:block" src="data:image/png;base64,${png}">${name}</figure>`,
      )
      .join('')}</body>`,
  );
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${folder}/walk.png`, fullPage: true });

  async function takeInFromBench(machine: RegExp, complaint: string) {
    await page.goto(stage.address);
    await takeIn(page, machine, complaint);
  }
} finally {
  await stage.stop();
}

process.exit(0);
