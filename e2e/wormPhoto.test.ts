import { t as gear } from '@patient-badger/wording/gear';
import { t as scan } from '@patient-badger/wording/scan';
import { SECTOR_SCAN_REFUSALS } from '@patient-badger/wording/scanRefusals';
import { t as shared } from '@patient-badger/wording/shared';
import jpeg from 'jpeg-js';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'playwright-core';
import { card, rod, sector, spur, worm } from '../packages/core/src/scan/scenes/solids.ts';
import { onPaper, photograph, type Patch } from '../packages/core/src/scan/scenes/splat.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { arrive, radio, read, shows, showsExactly, takeIn } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

/** A photo of something on white paper, so many pixels a millimetre, as a phone keeps it. */
function photoOf(patches: readonly Patch[], pxPerMm = 12): Buffer {
  const { width, height, rgba } = photograph(patches, onPaper({ width: 700, height: 460, pxPerMm, leanDeg: 2, random: seeded(3) }));
  return jpeg.encode({ width, height, data: rgba }, 85).data;
}

async function readOn(page: Page, bytes: Buffer): Promise<void> {
  const file = join(await mkdtemp(join(tmpdir(), 'badger-worm-')), 'worm.jpg');
  await writeFile(file, bytes);
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('count-on-photo').click()]);
  await chooser.setFiles(file);
}

test('a worm is read on a photo from its side: no scale gives a share, a laid length the pitch; the card knows which worm it was', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  await page.goto(`${page.url().split('?')[0]}/gear/worm`);
  await page.getByTestId('count-on-photo').waitFor();
  const job = page.url();

  // A plain rod is no worm: nothing is kept of it.
  const steel = [70, 70, 76] as const;
  await readOn(page, photoOf(rod({ colour: steel, radiusMm: 9, lengthMm: 44, grooves: [], grooveMm: 2 })));
  await page.getByText(scan.thisPhotoCannotBeRead).waitFor();

  // Module 1, one start, 20 mm over the tips: of its outside diameter the pitch is 0.157.
  await page.goto(job);
  const given = { colour: [196, 150, 70], pitchMm: Math.PI, starts: 1, hand: 'right', tipRadiusMm: 10, depthMm: 2.2 } as const;
  await readOn(page, photoOf(worm({ ...given, threadedMm: 28, shaftRadiusMm: 5, shaftMm: 8 })));
  await page.getByTestId('scan-worm').waitFor();
  await shows(page.getByTestId('scan-worm'), /0\.1[56]\d/);
  await page.getByText(gear.rightHandThread, { exact: true }).waitFor();
  await page.getByText(scan.measureOverTipsFirst).waitFor();

  // Its length from end to end is known: 44 mm.
  await radio(page, shared.length2).click();
  const board = page.getByTestId('scan-board');
  const box = await board.boundingBox();
  if (!box) throw new Error('no photo');
  const half = (box.width * 22 * 12) / 700;
  for (const side of [-1, 1]) await board.click({ position: { x: box.width / 2 + side * half, y: box.height / 2 } });
  await page.getByLabel(/^Length between the two/).fill('43');
  await page.getByTestId('use-length').click();
  await page.getByText(/^Pitch 3\.[01]\d mm/).waitFor();
  await page.getByTestId('keep-scan').click();
  await page.waitForURL(/\/gear\/worm$/);
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'quantity' AS quantity FROM entries WHERE payload->>'instrument' = 'photo' AND payload->>'quantity' IN ('axialPitch', 'tipDiameterMm') ORDER BY 1`,
    [{ quantity: 'axialPitch' }, { quantity: 'tipDiameterMm' }],
  );

  // With the caliper over its tips the card says which worm it was.
  await page.reload();
  await read(page, 'tipDiameterMm', '20.00');
  await page
    .getByText(/module 1,/i)
    .first()
    .waitFor();
});

test('a card that lies beside a gear tells how large it is; a disc that is not there is said not to be', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard tractor/, 'Clicks in second only');
  await page.goto(`${page.url().split('?')[0]}/gear/gear`);
  const gearBeside = spur({ colour: [70, 70, 76], teeth: 24, moduleMm: 2, thicknessMm: 2, boreMm: 10, x: -52 });
  const beside = card({ colour: [60, 90, 160], widthMm: 85.6, heightMm: 53.98, x: 40, turnedDeg: 25 });
  await readOn(page, photoOf([...gearBeside, ...beside], 3.4));
  await radio(page, scan.besideIt).click();
  await page.getByTestId('beside-diameter').fill('2');
  await page.getByTestId('beside-disc').click();
  await page.getByText(scan.howWideIsTheDisc).waitFor();
  await page.getByTestId('beside-diameter').fill('23');
  await page.getByTestId('beside-disc').click();
  // The card is the largest thing there, and no gear.
  await page.getByText(scan.thisPhotoCannotBeRead).waitFor();
  await page.getByTestId('beside-card').click();
  await page.getByText(scan.besideFound).waitFor();
  await showsExactly(page.getByTestId('scan-teeth'), scan.teeth(24));
  await page.getByText(/^Over the tips 5[123]\.\d\d mm/).waitFor();
  await page.getByTestId('keep-scan').click();
  await page.waitForURL(/\/gear\/gear$/);
});

test('a quadrant that a worm drives is measured, and its fresh arc is turned in', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Island lorry/, 'Stiff at one place');
  await page.goto(`${page.url().split('?')[0]}/gear/sector`);
  await page.getByTestId('callout-teeth').waitFor();
  // A whole gear on the photo is none; thirteen teeth of a wheel of 32 are read with their arc, twelve pitches of 11.25°.
  const steel = { colour: [70, 70, 76], teeth: 32, moduleMm: 3, thicknessMm: 4 } as const;
  const job = page.url();
  await readOn(page, photoOf(spur({ ...steel, boreMm: 12 }), 4));
  await page.getByText(SECTOR_SCAN_REFUSALS.wholeGear).waitFor();
  await page.goto(job);
  await readOn(page, photoOf(sector({ ...steel, present: 13, hubRadiusMm: 14, turnedDeg: 20, y: -12 }), 5));
  await shows(page.getByTestId('scan-sector'), /^13 teeth over 13[456]\.\d°/);
  await page.getByTestId('keep-scan').click();
  await page.getByText(gear.aWholeRoundWouldHave(32)).waitFor();
  // Over the tips of module 3 it is more than at the pitch circle: 3π · 34/32, five times.
  await read(page, 'axialPitch', '50.07');
  await page
    .getByText(/module 3\b/i)
    .first()
    .waitFor();

  // Teeth 1 to 6 have worked; the travel needs six, and six fresh ones lie beside them.
  await page.getByTestId('open-arcs').click();
  for (const [label, text] of [
    [gear.firstToothThatHasWorked, '1'],
    [gear.lastToothThatHasWorked, '6'],
    [gear.teethThatTheTravelNeeds, '6'],
  ] as const)
    await page.getByLabel(label).fill(text);
  await page.getByTestId('keep-arcs').click();
  await page.getByTestId('fresh-positions').waitFor();
  await showsExactly(page.getByTestId('fresh-positions'), gear.freshLeft(1, gear.position));
  await page.reload();
  await page.getByTestId('fresh-positions').waitFor();
});
