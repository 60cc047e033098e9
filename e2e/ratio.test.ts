import { t as bench } from '@patient-badger/wording/bench';
import { t as match } from '@patient-badger/wording/match';
import { t as ratio } from '@patient-badger/wording/ratio';
import type { Page } from 'playwright-core';
import { arrive, link, radio, read, shows, showsExactly } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const jobOf = (page: Page) => /^.*\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? '';

test('the old estate car on other tyres: from the sizes to the chosen gear, kept on the job', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /estate/i).click();
  await page.waitForURL(/\/jobs\//);
  await page.goto(`${jobOf(page)}/ratio`);
  const fill = (name: string, text: string) => page.getByTestId(`desk-${name}`).fill(text);

  // Three slips first: a size that is none, no axle ratio, gears in words.
  await fill('tyre', 'big ones');
  await page.getByText('is no tyre size known here', { exact: false }).waitFor();
  await fill('tyre', '195/70R14');
  await page.getByText('Printed size: counts').waitFor();
  await page.getByText(ratio.axleRatioPropellerShaftTurns, { exact: false }).waitFor();
  await fill('axleRatio', '3.90');
  await fill('drive', 'seven');
  await page.getByText(ratio.driveGearsThatExist, { exact: false }).last().waitFor();
  await fill('drive', '7, 8');
  await fill('driven', '18-24');
  await page.getByTestId('pair-7-22').waitFor();

  // The maker's figure goes before the size, the floor before both.
  await fill('published', '535');
  await page.getByText('Maker’s figure: counts').waitFor();
  await fill('rolledTurns', '10');
  await fill('rolledMetres', '18.62');
  await page.getByText('Rolled on the floor: counts').waitFor();

  // 537.06 turns a km, 3.9, 1000 a mile: 3.371 a tooth of the drive gear. In it now 7 and 25, reads low.
  await fill('nowDrive', '7');
  await fill('nowDriven', '25');
  await showsExactly(page.getByTestId('reads-now'), ratio.readsWithOff('5.6 % low'));
  const first = page.getByRole('radiogroup', { name: ratio.pairs }).getByRole('radio').first();
  await shows(first, ratio.driveDrivenWithDriveTeethAndDrivenTeeth(7, 24));
  await radio(page, ratio.neverLow).click();
  await shows(first, ratio.driveDrivenWithDriveTeethAndDrivenTeeth(7, 23));
  await page.reload();
  await shows(first, ratio.driveDrivenWithDriveTeethAndDrivenTeeth(7, 23));
  // Other tyres on the same gears, side by side: 1,863 mm round were rolled, 205/75R15 turn less often and read lower still.
  await fill('otherTyre', '205/75 on fifteen');
  await page.getByText('is no tyre size known here', { exact: false }).waitFor();
  await fill('otherTyre', '205/75R15');
  const row = page.getByTestId('change-table').getByRole('row', { name: ratio.reads });
  await shows(row, /^Reads5\.6 % low1[0-9]\.\d % low$/);
  await page.getByTestId('keep-ratio').click();
  await page.getByTestId('ratio-kept').waitFor();
  await inTime(stage.databaseUrl, `SELECT (payload->>'drivenTeeth')::int AS n FROM entries WHERE payload->>'kind' = 'ratioChosen'`, [
    { n: 23 },
  ]);
  // What was chosen is what is looked for, whatever count was in it.
  await page.goto(`${jobOf(page)}/gear/driven`);
  await read(page, 'teeth', '25');
  await read(page, 'tipDiameterMm', '27');
  await page.goto(`${jobOf(page)}/parts/driven`);
  await showsExactly(page.getByTestId('by-ratio'), match.byTheKeptRatio(23, 25));
});

test('an odometer goes forward only, and its sheet says before, after and why', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /post van/i).click();
  await page.waitForURL(/\/jobs\//);
  await page.goto(`${jobOf(page)}/ratio?desk=odometer`);
  await page.getByTestId('odo-reading').fill('48210');
  await page.getByTestId('odo-cable').fill('1000');
  await page.getByTestId('odo-missed').fill('-300');
  await page.getByText('only ever brought forward', { exact: false }).waitFor();
  await page.getByTestId('odo-missed').fill('120');
  await showsExactly(page.getByTestId('odo-turns'), ratio.turnsOfThe('74,565', ratio.cable));
  // With the instrument open it is the gear at the drums that is turned, so often for one on them as was counted.
  await page.getByRole('radio', { name: ratio.gearAtTheDrums2 }).click();
  await page.getByTestId('odo-perUnit').fill('20');
  await showsExactly(page.getByTestId('odo-turns'), ratio.turnsOfThe('2,400', ratio.gearAtTheDrums));
  await page.getByRole('radio', { name: ratio.theCable }).click();
  await page.getByTestId('keep-odometer').click();
  await page.getByText(ratio.theSheetNeedsTheReason).waitFor();
  await page.getByTestId('odo-reason').fill('Drum gear slipped; distance from the round book');
  await page.getByTestId('keep-odometer').click();
  await page.getByTestId('disclosure').click();
  await page.getByText('48330 km').waitFor();
  await page.getByText('Drum gear slipped', { exact: false }).waitFor();
});

test('turns counted on both shafts name the tooth counts; a train is reckoned and found without a job', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, bench.ratios).click();
  await radio(page, ratio.countTurns).click();
  await page.getByTestId('count-input').fill('37');
  await page.getByTestId('count-output').fill('10');
  await page.getByTestId('count-error').fill('0.02');
  await page.getByText('10 : 37', { exact: true }).waitFor();
  await radio(page, ratio.train).click();
  await page.getByTestId('train-chain').fill('10-40');
  await page.getByText(ratio.writeItLike1040, { exact: false }).waitFor();
  await page.getByTestId('train-chain').fill('10:40 1w:30');
  await showsExactly(page.getByTestId('train-reduction'), ratio.turnsInForOneOut('120.0000'));
  await page.getByTestId('train-wanted').fill('12');
  await page.getByTestId('train-gears').fill('12, 15, 36, 48');
  await page.getByText('12 : 36, then 12 : 48').waitFor();
});
