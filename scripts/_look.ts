import jpeg from 'jpeg-js';
import { writeFile } from 'node:fs/promises';
import { arrive, takeIn, radio } from '../e2e/bench.ts';
import { PHONE, raise } from '../e2e/stage.ts';
import { gearPhoto } from '../packages/core/src/instrument/gearPhoto.ts';
import { seeded } from '../packages/core/src/testing.ts';
const photo = gearPhoto({ teeth: 41, missing: [5, 6], chipped: [20], random: seeded(12), width: 1200, height: 900, tiltDeg: 8, tiltTowardsDeg: 200, specks: 30, blots: 2, thickness: .2 });
await writeFile('/tmp/look/g.jpg', jpeg.encode({ width: photo.width, height: photo.height, data: photo.rgba }, 85).data);
const stage = await raise();
try {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  await page.getByTestId('count-on-photo').waitFor();
  await page.screenshot({ path: '/tmp/look/bench.png', fullPage: true });
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  await chooser.setFiles('/tmp/look/g.jpg');
  await page.getByTestId('scan-teeth').waitFor();
  await page.waitForTimeout(400);
  await page.screenshot({ path: '/tmp/look/scan.png' });
  await radio(page, 'Tips').click();
  await page.getByText('Narrower').scrollIntoViewIfNeeded();
  await page.waitForTimeout(400);
  await page.screenshot({ path: '/tmp/look/scan2.png' });
} finally { await stage.strike(); }
