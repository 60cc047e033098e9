/**
 * How long the screen stands still while a photo of twelve megapixels is counted: the longest task of the
 * main thread, as the browser reports it (Long Tasks API, from 50 ms on). Part of `npm run bench:scan`.
 * Baseline in the same run: the same sum on the main thread, as its time in Node says.
 */
import jpeg from 'jpeg-js';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { arrive, takeIn } from '../e2e/actions.ts';
import { PHONE, start } from '../e2e/stage.ts';
import { gearPhoto } from '../packages/core/src/scan/gearPhoto.ts';
import { scanTeeth } from '../packages/core/src/scan/scanTeeth.ts';
import { seeded } from '../packages/core/src/testing.ts';

const photo = gearPhoto({ teeth: 41, missing: [5], random: seeded(12), width: 4000, height: 3000, tiltDeg: 8, specks: 30 });
const began = performance.now();
scanTeeth(photo);
const onMain = performance.now() - began;
const file = join(await mkdtemp(join(tmpdir(), 'badger-bench-')), 'twelve.jpg');
await writeFile(file, jpeg.encode({ width: photo.width, height: photo.height, data: photo.rgba }, 85).data);

const stage = await start();
try {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  // As text: the loader's own marks on functions are not known in the browser.
  await page.evaluate(`(() => {
    window.longest = 0;
    window.frames = 0;
    new PerformanceObserver((list) => list.getEntries().forEach((each) => (window.longest = Math.max(window.longest, each.duration)))).observe({ type: 'longtask' });
    const count = () => (window.frames++, requestAnimationFrame(count));
    count();
  })()`);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  const start = performance.now();
  await chooser.setFiles(file);
  await page.getByTestId('scan-teeth').waitFor();
  const took = performance.now() - start;
  const { longest, frames } = await page.evaluate<{
    longest: number;
    frames: number;
  }>('({ longest: window.longest, frames: window.frames })');
  console.log(
    `In the app: a photo of 12 Mpx kept, decoded and counted in ${Math.round(took)} ms; longest task of the main thread ${longest === 0 ? 'below 50' : Math.round(longest)} ms (to reach: 100), ${frames} frames drawn meanwhile`,
  );
  console.log(`On the main thread the same sum would hold it for ${Math.round(onMain)} ms`);
} finally {
  await stage.stop();
}
