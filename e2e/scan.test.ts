import { t as photo } from '@patient-badger/wording/photo';
import { t as scan } from '@patient-badger/wording/scan';
import { t as shared } from '@patient-badger/wording/shared';
import jpeg from 'jpeg-js';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { gearPhoto, type Scene } from '../packages/core/src/scan/gearPhoto.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { arrive, button, radio, showsExactly, takeIn } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const jpegOf = (scene: Partial<Scene> & { teeth: number }) => {
  const { width, height, rgba } = gearPhoto({ random: seeded(9), width: 800, height: 640, ...scene });
  return jpeg.encode({ width, height, data: rgba }, 80).data;
};

async function countOn(page: Page, name: string, bytes: Buffer): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'badger-scan-')), name);
  await writeFile(file, bytes);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  await chooser.setFiles(file);
}

/** Moves what the thing lies in by a pixel, and waits until the browser has said so. */
const slideByAHair = (thing: HTMLElement | SVGElement) =>
  new Promise<void>((done) => {
    document.addEventListener('scroll', () => requestAnimationFrame(() => done()), { capture: true, once: true });
    for (let above = thing.parentElement; above; above = above.parentElement) {
      const was = above.scrollTop;
      above.scrollTop += above.scrollTop > 0 ? -1 : 1;
      if (above.scrollTop !== was) return;
    }
    throw new Error('nothing slides');
  });

async function atTheGear(page: Page): Promise<void> {
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  await page.getByTestId('count-on-photo').waitFor();
}

test('a photo is scanned, put right and kept; what it gives is there after a reload, and the gear card goes on with it', async () => {
  const { page } = await stage.device(PHONE);
  await atTheGear(page);
  await countOn(page, 'gear.jpg', jpegOf({ teeth: 41, missing: [10, 11], tiltDeg: 9, specks: 20, blots: 1 }));
  await page.getByTestId('scan-teeth').waitFor();
  await showsExactly(page.getByTestId('scan-teeth'), scan.teeth(41));
  await page.getByText(scan.missingAt(2, '3 o’clock'), { exact: false }).waitFor();

  // A length that is known: from the middle to the tips, 26.875 mm on a gear of module 1.25.
  await radio(page, shared.length2).click();
  const board = page.getByTestId('scan-board');
  const box = await board.boundingBox();
  if (!box) throw new Error('no photo');
  const radius = (box.width * ((640 / 2) * 0.8)) / 800;
  await board.click({ position: { x: box.width / 2 - radius, y: box.height / 2 } });
  // The page still slides a hair while the finger is down: a tap all the same.
  await board.hover({ position: { x: box.width / 2 + radius, y: box.height / 2 } });
  await page.mouse.down();
  await board.evaluate(slideByAHair);
  await page.mouse.up();
  await page.getByLabel(/^Length between the two/).fill('fifty');
  await page.getByTestId('use-length').click();
  await page.getByText(scan.howLongIsItType, { exact: false }).waitFor();
  await page.getByLabel(/^Length between the two/).fill('53.75');
  await page.getByTestId('use-length').click();
  await page.getByText(/^Over the tips 5[234]\.\d\d mm/).waitFor();

  // The human counts one more, then thinks better of it and lets the app look again.
  await button(page, '+').click();
  await page.getByText(scan.teeth(42), { exact: true }).waitFor();
  await page.getByText(scan.countedByYou).waitFor();
  await button(page, scan.letTheAppLookAgain).click();
  await page.getByText(scan.teeth(41), { exact: true }).waitFor();
  await button(page, '−').click();
  await page.getByText(scan.teeth(40), { exact: true }).waitFor();
  await button(page, '+').click();
  await page.getByText(scan.teeth(41), { exact: true }).waitFor();
  await page.getByText(scan.countedByYou).waitFor();

  // The network is gone when it is kept: nothing is lost.
  await page.context().setOffline(true);
  await page.getByTestId('keep-scan').click();
  await page.getByTestId('kept-scan').waitFor();
  await page.context().setOffline(false);
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'hash' = '' AS bad, payload#>>'{found,teeth}' AS teeth FROM entries WHERE payload->>'kind' = 'teethScanned'`,
    [{ bad: false, teeth: '41' }],
  );
  await page.reload();
  await page.getByRole('button', { name: /^On a photo: 41 teeth\. 39 there, put right by hand$/ }).waitFor();
  await page
    .getByText(/41 teeth, 20°/)
    .first()
    .waitFor();
  await page.getByTestId('kept-scan').click();
  await page.getByText(scan.countedByYou).waitFor();
});

test('a photo that cannot be read says why; the eye puts middle and tips, and the count can be stopped', async () => {
  const { page } = await stage.device(PHONE);
  await atTheGear(page);
  await countOn(page, 'notes.txt', Buffer.from('forty-one'));
  await page.getByText(photo.onlyPngAndJpegPhotos).waitFor();
  await countOn(page, 'far.jpg', jpegOf({ teeth: 24, fill: 0.16, unevenness: 0, noise: 3 }));
  await page.getByText(scan.thisPhotoCannotBeRead).waitFor();
  await page.getByText('Come closer', { exact: false }).waitFor();

  await page.goBack();
  await countOn(page, 'large.jpg', jpegOf({ teeth: 24, width: 2000, height: 1500 }));
  await page.getByTestId('stop-scan').click();
  await page.getByTestId('count-again').click();
  await page.getByText(scan.teeth(24), { exact: true }).waitFor();
  await radio(page, scan.middle).click();
  const board = page.getByTestId('scan-board');
  const box = await board.boundingBox();
  if (!box) throw new Error('no photo');
  await board.click({ position: { x: box.width / 2, y: box.height / 2 } });
  await page.getByTestId('scan-teeth').waitFor();
  await button(page, scan.letTheAppLookAgain).waitFor();
});
