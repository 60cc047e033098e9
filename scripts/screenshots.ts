import { mkdir } from 'node:fs/promises';
import {
  arrive,
  button,
  clearTheWay,
  closeUp,
  confirmCautions,
  link,
  openUp,
  PACKED,
  radio,
  read,
  STRIPPED,
  takeIn,
  trace,
} from '../e2e/bench.ts';
import { PHONE, raise, WIDE } from '../e2e/stage.ts';

// Pictures for the docs, made from the demo data: npm run screenshots (after the app is built).
const folder = 'docs/screenshots';
await mkdir(folder, { recursive: true });
const stage = await raise();
try {
  const { page } = await stage.device(PHONE);
  const shoot = async (name: string) => {
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await page.waitForTimeout(400);
    await page.screenshot({ path: `${folder}/${name}.png` });
  };
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Orchard saw/).waitFor();
  await shoot('bench-phone');
  await link(page, /School lawn tractor/).click();
  await page.getByTestId('do-look').waitFor();
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, 660);
  await shoot('trace-phone');
  await page.goto(`${page.url()}/look/wheel-watch-both`);
  await openUp(page);
  await page.getByTestId('side-0-still').click();
  await page.getByTestId('side-1-turns').click();
  await page.getByTestId('say-both').scrollIntoViewIfNeeded();
  await shoot('two-sides-phone');
  await page.goto(stage.address);
  await link(page, /Orchard saw/).click();
  await page.getByTestId('do-look').waitFor();
  await page.goto(`${page.url()}/look/chips-on-worm`);
  await page.getByTestId('step-done').waitFor();
  await shoot('look-phone');

  await page.goto(`${stage.address}/families`);
  await page.getByLabel('What does the owner say, or what is it?').fill('comes out crooked');
  await link(page, 'Slide with two racks').waitFor();
  await shoot('families-phone');
  await page.goto(`${stage.address}/families/slide-rack-drive`);
  await radio(page, /Right pinion pack worn/).click();
  await page.getByText('Cross shaft', { exact: true }).first().scrollIntoViewIfNeeded();
  await page.mouse.move(195, 500);
  await page.mouse.wheel(0, 420);
  await shoot('motion-phone');

  await takeInFromBench(/North orchard walk mower/, 'Does not pull');
  await page.goto(`${page.url()}/look/pulley-watch-both`);
  await openUp(page);
  for (let i = 0; i < 10 && !(await page.getByTestId('reading').isVisible()); i++) {
    await page.getByTestId('read-drillBench').click();
    await page.waitForTimeout(600);
  }
  await page.getByTestId('read-drillBench').scrollIntoViewIfNeeded();
  await shoot('instrument-phone');

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
  await shoot('tray-phone');

  await takeInFromBench(/Pruning saw/, 'Chain runs dry, no oil on the bar');
  await trace(page, PACKED);
  await button(page, 'See the reasons and decide').click();
  await page.getByTestId('decide').waitFor();
  await shoot('verdict-phone');
  await page.getByTestId('decide').click();
  await page.getByRole('heading', { name: /^The way back/ }).waitFor();
  await shoot('close-phone');
  await closeUp(page);
  await shoot('record-phone');

  await takeInFromBench(/Hedge saw/, 'Uses no oil at all, tank stays full');
  await trace(page, STRIPPED);
  await button(page, 'See the reasons and decide').click();
  await page.getByTestId('decide').click();
  await read(page, 'tipDiameterMm', '14.35');
  await read(page, 'axialPitch', '8.8');
  await page.getByTestId('callout-boreDiameterMm').click();
  await radio(page, 'in').click();
  for (const key of '11/32') await page.keyboard.press(key);
  await shoot('pad-phone');
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
  const job = page.url().split('/parts/')[0] ?? '';

  await page.setViewportSize(WIDE);
  await page.goto(stage.address);
  await link(page, /Orchard saw/).waitFor();
  await shoot('bench-wide');
  await link(page, /Cargo bike/).click();
  await page.getByTestId('do-look').waitFor();
  await shoot('trace-wide');
  await page.goto(`${job}/gear/worm`);
  await page.getByTestId('find-parts').waitFor();
  await shoot('gear-wide');
  await page.setViewportSize(PHONE);
  await page.goto(`${stage.address}/settings`);
  await radio(page, 'Dark').click();
  await page.goto(stage.address);
  await link(page, /Cargo bike/).click();
  await page.getByTestId('do-look').waitFor();
  await shoot('trace-dark-phone');

  async function takeInFromBench(machine: RegExp, complaint: string) {
    await page.goto(stage.address);
    await takeIn(page, machine, complaint);
  }
} finally {
  await stage.strike();
}
process.exit(0);
