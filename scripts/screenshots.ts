import { mkdir } from 'node:fs/promises';
import {
  arrive,
  button,
  clearTheWay,
  closeUp,
  confirmCautions,
  handOver,
  link,
  PACKED,
  radio,
  read,
  STRIPPED,
  takeIn,
  trace,
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
  await shoot('sign-in-phone');
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
  await link(page, 'Open').click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-wheel').click();
  await page.getByTestId('other-place').click();
  await confirmCautions(page);
  await page.getByTestId('step-done').click();
  await page.getByLabel('Minutes from the maker’s manual').fill('5');
  await page.getByTestId('start-airbag').click();
  await page.getByTestId('left-airbag').waitFor();
  await page.mouse.move(195, 400);
  await page.mouse.wheel(0, 240);
  await shoot('open-phone');
  await clearTheWay(page);
  await confirmCautions(page);
  await page.getByTestId('step-done').click();
  await button(page, 'Done: Back cover off').waitFor();
  await button(page, 'The tray').click();
  await page.getByText(/pieces lie on the bench/).waitFor();

  await takeInFromBench(/Pruning saw/, 'Chain runs dry, no oil on the bar');
  await trace(page, PACKED);
  await button(page, 'See the reasons and decide').click();
  await page.getByTestId('decide').waitFor();
  await shoot('verdict-phone');
  await page.getByTestId('decide').click();
  await page.getByRole('heading', { name: /^The way back/ }).waitFor();
  await shoot('close-phone');
  await closeUp(page);

  await takeInFromBench(/Hedge saw/, 'Uses no oil at all, tank stays full');
  await trace(page, STRIPPED);
  await button(page, 'See the reasons and decide').click();
  await page.getByTestId('decide').click();
  await read(page, 'tipDiameterMm', '14.35');
  await read(page, 'axialPitch', '8.8');
  await page.getByTestId('callout-boreDiameterMm').click();
  await radio(page, 'in').click();
  for (const key of '11/32') await page.keyboard.press(key);
  await radio(page, 'mm').click();
  await button(page, 'Close').click();
  await read(page, 'starts', '1');
  await read(page, 'boreDiameterMm', '9.01');
  await read(page, 'faceWidthMm', '7.02');
  await radio(page, 'Right-hand thread').click();
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
  await button(page, 'Set up and prove').click();
  await page.getByTestId('fitted').click();
  await closeUp(page);
  await page.getByTestId('learnt').getByText('starts', { exact: false }).waitFor();
  await page.getByTestId('write-book').click();
  await page.getByText('What this job learnt stands in it.').waitFor();
  await page.goto(`${stage.address}/machines`);
  await button(page, /Hedge saw/).click();
  await button(page, 'Change what is on record').waitFor();
  await shoot('machine-phone');
  await button(page, /^The book of/).click();
  await page.getByRole('heading', { name: 'Parts' }).waitFor();
  await shoot('book-phone');

  await page.setViewportSize(WIDE);
  await page.goto(stage.address);
  await link(page, /Orchard saw/).waitFor();
  await shoot('bench-wide');
  await link(page, /Cargo bike/).click();
  await page.getByTestId('do-look').waitFor();
  await shoot('trace-wide');
  await page.goto(`${stage.address}/parts`);
  await page.getByTestId('catalogue-text').fill('slide');
  await page.getByRole('checkbox', { name: /Slide pinion pack, wide/ }).waitFor();
  await shoot('catalogue-wide');

  await page.setViewportSize(PHONE);
  await takeInFromBench(/Orchard tractor/, 'Clicks in second only');
  const tractor = page.url().split('?')[0] ?? '';
  await page.goto(`${tractor}/gear/gear`);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  await chooser.setFiles({ name: 'gear.jpg', mimeType: 'image/jpeg', buffer: gearJpeg() });
  await page.getByTestId('scan-teeth').waitFor();
  await shoot('scan-phone');
  await page.goto(`${stage.address}/ratio`);
  for (const [name, text] of [
    ['tyre', '195/70R14'],
    ['rolledTurns', '10'],
    ['rolledMetres', '18.62'],
    ['axleRatio', '3.90'],
    ['drive', '7, 8'],
    ['driven', '18-25'],
    ['nowDrive', '7'],
    ['nowDriven', '25'],
  ] as const)
    await page.getByTestId(`desk-${name}`).fill(text);
  await page.getByTestId('pair-7-23').scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 420);
  await shoot('ratio-phone');

  await page.goto(`${stage.address}/shelf`);
  await page.getByText('Oil pump worm').waitFor();
  await shoot('shelf-phone');

  await page.goto(`${stage.address}/settings`);
  await handOver(page, 'Imke');
  await page.goto(`${stage.address}/shop/people`);
  await button(page, 'Add somebody').waitFor();
  await shoot('people-phone');

  async function takeInFromBench(machine: RegExp, complaint: string) {
    await page.goto(stage.address);
    await takeIn(page, machine, complaint);
  }
} finally {
  await stage.stop();
}

const own = await start({ demo: false });
try {
  const { page } = await own.device(PHONE);
  await page.goto(own.firstVisit);
  await page.getByLabel('Name of the shop').fill('Reed & Daughter');
  await page.getByLabel('Currency, three letters').fill('NOK');
  await page.getByLabel('Rate per hour').fill('690');
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.screenshot({ path: `${folder}/first-phone.png` });
} finally {
  await own.stop();
}
process.exit(0);
