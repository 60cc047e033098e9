import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { arrive, link, radio } from './actions.ts';
import { inTime, PHONE, start, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

test('a steering is set by three trials of its sleeve, the float by shims, two sides are brought into step; a reload loses nothing', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /School lawn tractor/).click();
  await page.waitForURL(/\/jobs\//);
  await page.goto(page.url().replace(/(\/jobs\/[^/?]+).*/, '$1/setup'));
  await radio(page, setup.eccentricSleeve).click();
  await page.getByTestId('setup-wanted').fill('0.15');
  const trial = async (angle: string, backlash: string) => {
    await page.getByTestId('setup-angle').fill(angle);
    await page.getByTestId('setup-backlash').fill(backlash);
    await page.getByTestId('keep-trial').click();
  };
  await trial('north', '0.3');
  await page.getByText(setup.theAngleInDegrees360, { exact: false }).waitFor();
  await trial('0', '0.30');
  await page.getByText(setup.trialAt(0, '0.30 mm'), { exact: true }).waitFor();
  await trial('90', '0.20');
  await page.getByText('Turn the sleeve and read again', { exact: false }).waitFor();
  await context.setOffline(true);
  await trial('180', '0.10');
  await page
    .getByTestId('next-angle')
    .getByText(/^Turn to (120|240)°: it should show 0\.150 mm ± 0\.0/)
    .waitFor();
  await context.setOffline(false);
  await page.reload();
  await radio(page, setup.eccentricSleeve).click();
  await page.getByTestId('next-angle').waitFor();
  await page.getByTestId('eccentric-set').click();
  await page
    .getByTestId('settings')
    .getByText(containing(setup.sleeveAtForBacklash(ANYTHING, ANYTHING, 3)))
    .waitFor();
  // Tighter than the sleeve can bring it.
  await page.getByTestId('setup-wanted').fill('0.02');
  await page.getByTestId('not-reachable').waitFor();

  await radio(page, setup.endFloatShims).click();
  await page.getByTestId('setup-float').fill('0.62');
  await page.getByTestId('setup-least').fill('0.05');
  await page.getByTestId('setup-most').fill('0.15');
  await page.getByTestId('setup-shims').fill('0.1x4, 0.2x2, 0.5');
  await page.getByTestId('shim-stack').getByText(setup.endFloatLeft('1 × 0.5 mm', '0.120 mm')).waitFor();
  await page.getByTestId('shims-set').click();

  await radio(page, setup.twoSides).click();
  await page.getByTestId('setup-left').fill('500');
  await page.getByTestId('setup-right').fill('490.6');
  await page.getByTestId('setup-teeth').fill('11');
  await page.getByTestId('setup-module').fill('3');
  await page
    .getByTestId('timing-found')
    .getByText(containing(setup.theSideIsBehindBy('right', '9.4 mm', 1, 'tooth', ANYTHING)))
    .waitFor();
  await page.getByTestId('timing-set').click();

  await radio(page, shared.torque).click();
  await page.getByTestId('setup-value').fill('10');
  await radio(page, 'ft·lb').click();
  await page.getByTestId('torque-found').getByText('13.6 N·m', { exact: false }).waitFor();
  await page.getByTestId('setup-source').fill('sheet 4');
  await page.getByTestId('torque-set').click();
  const kinds = `SELECT payload->>'setting' AS setting FROM entries WHERE payload->>'kind' = 'settingMade' ORDER BY seq`;
  await inTime(stage.databaseUrl, kinds, [{ setting: 'eccentric' }, { setting: 'shims' }, { setting: 'timing' }, { setting: 'torque' }]);
});
