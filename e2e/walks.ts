import { t as close } from '@patient-badger/wording/close';
import { t as gear } from '@patient-badger/wording/gear';
import { t as match } from '@patient-badger/wording/match';
import { t as ratio } from '@patient-badger/wording/ratio';
import { t as saving } from '@patient-badger/wording/saving';
import { t as shared } from '@patient-badger/wording/shared';
import {
  arrive,
  button,
  confirmCautions,
  handOver,
  honest,
  inspect,
  link,
  proveAll,
  radio,
  readSlidePinion,
  signByPin,
  takeIn,
} from './actions.ts';
import { PHONE, type Stage } from './stage.ts';
import { Walker, type WalkCounts } from './walking.ts';
import { byTelephone, readOn } from './walkSteps.ts';

interface Walk {
  readonly id: string;
  readonly machine: RegExp;
  /** The owner's words; or what was found at a service, where nobody complained. */
  readonly says: string | { readonly find: string };
  readonly family: string;
  readonly fault: string;
  readonly mode?: Parameters<typeof honest>[2];
  /** What the work asks for between the verdict and the way back. */
  readonly between?: (walker: Walker) => Promise<void>;
  /** Somebody else looks it over before it may be closed. */
  readonly secondCheck?: boolean;
  /** The first find is put on record, and it is looked on for another. */
  readonly lookOn?: boolean;
}

/** Nothing more is set than what the sheet says: each setting by its own desk is another story. */
export const WALKS: readonly Walk[] = [
  {
    id: 'packed saw',
    machine: /Pruning saw/,
    says: 'Chain runs dry, no oil on the bar',
    family: 'saw-oil-pump',
    fault: 'chips-packed',
    mode: 'skips',
  },
  {
    id: 'stripped worm with part',
    machine: /Orchard saw/,
    says: 'Uses no oil at all, tank stays full',
    family: 'saw-oil-pump',
    fault: 'worm-stripped',
    mode: 'open',
    between: async (w) => {
      const { page } = w;
      await readOn(w, { tipDiameterMm: '19.95', axialPitch: '12.57', starts: '1', boreDiameterMm: '12.01', faceWidthMm: '9' });
      await radio(page, gear.rightHandThread).click();
      await w.press('find-parts');
      await page.locator('[data-testid^="choose-"]').first().click();
      await button(page, match.setUpAndProve).click();
      await w.press('fitted');
    },
  },
  {
    id: 'tensioner by telephone gear',
    machine: /Press-house saw/,
    says: 'Chain will not come tight',
    family: 'saw-chain-tensioner',
    fault: 'bevel-sheared',
    mode: 'skips',
    between: (w) => byTelephone(w, 'Crown gear, by telephone'),
  },
  {
    id: 'odometer with stand-off and turns',
    machine: /^Post van/,
    says: 'Odometer stands still, speedometer works',
    family: 'dash-odometer-motor',
    fault: 'wheel-teeth',
    mode: 'open',
    between: async (w) => {
      await byTelephone(w, 'Wheel with 24 teeth');
      await w.stageTo(shared.close);
      await w.press('to-setup');
      await w.press('open-worm-off');
      await w.type('setup-feeler', '0.06');
      await w.press('stand-off-set');
      await w.stageTo(shared.close);
      await w.press('to-odometer');
      await w.type('odo-reading', '48210');
      await w.type('odo-cable', '1000');
      await w.type('odo-missed', '120');
      await w.type('odo-reason', 'Wheel broke; distance from the round book');
      await w.press('keep-odometer');
    },
  },
  {
    id: 'loose soft gear staked',
    machine: /School bus/,
    says: 'Total stands still, trip and needle work',
    family: 'dash-odometer-cable',
    fault: 'drum-gear-slips',
    mode: 'open',
    between: async (w) => {
      await w.stageTo(shared.decide);
      await w.press('to-save');
      await radio(w.page, saving.stake).click();
      await w.type('saving-shaftMm', '4');
      await w.type('saving-boreMm', '4.03');
      await w.type('saving-outerMm', '8');
      await w.type('saving-lengthMm', '6');
      await w.type('saving-needNm', '0.2');
      await w.press('saved');
    },
  },
  {
    id: 'nylon gear of a slide, made or bought',
    machine: /Ticket-office wall/,
    says: 'Motor runs, the wall stays',
    family: 'slide-rack-drive',
    fault: 'nylon-broken',
    mode: 'open',
    between: async (w) => {
      await w.stageTo(shared.decide);
      await w.press('to-make');
      await w.type('make-teeth', '48');
      await w.type('make-moduleMm', '1');
      await w.type('make-faceMm', '8');
      await w.type('make-boreMm', '10');
      const coming = w.page.waitForEvent('download');
      await w.press('save-3mf');
      await coming;
      await w.page.getByTestId('made').waitFor();
      await byTelephone(w, 'Nylon gear, 48 teeth');
    },
  },
  {
    id: 'steering box with second check',
    machine: /Island lorry/,
    says: 'Much play at the wheel',
    family: 'worm-steering-box',
    fault: 'sleeve-unset',
    secondCheck: true,
    between: async (w) => {
      const { page } = w;
      await w.stageTo(shared.close);
      await w.press('to-setup');
      await w.type('setup-feeler', '0.06');
      await w.press('stand-off-set');
      await w.type('setup-wanted', '0.25');
      for (const [angle, backlash] of [
        ['0', '0.40'],
        ['120', '0.30'],
        ['240', '0.20'],
      ] as const) {
        await w.type('setup-angle', angle);
        await w.type('setup-backlash', backlash);
        await w.press('keep-trial');
        await page.getByText(`${angle}°: `, { exact: false }).first().waitFor();
      }
      await w.press('eccentric-set');
      for (const [name, figure] of Object.entries({ play: '20', radius: '180', ratio: '10', mesh: '0.2', pitch: '40' }))
        await w.type(`setup-${name}`, figure);
      await w.press('rim-set');
      await w.press('tick-set');
    },
  },
  {
    id: 'one wheel locked',
    machine: /North orchard walk mower/,
    says: 'Will not roll by hand',
    family: 'walk-drive-gearbox',
    fault: 'pin-jammed-right',
    between: async (w) => {
      await w.stageTo(shared.decide);
      await w.press('to-quote');
      await w.page
        .getByTestId(/^answer-/)
        .first()
        .click();
      await w.press('go-on');
      await byTelephone(w, 'Drive pin and bush');
    },
  },
  {
    id: 'snapped axle with a second find',
    machine: /Orchard tractor/,
    says: 'Engine runs, it does not move',
    family: 'garden-transaxle',
    fault: 'axle-snapped-right',
    mode: 'open',
    lookOn: true,
    between: (w) => byTelephone(w, 'Axle, right'),
  },
  {
    id: 'hydro axle at the service',
    machine: /Playing-field mower/,
    says: { find: 'find-oil-kind-old' },
    family: 'hydro-final-drive',
    fault: 'oil-old',
    between: async (w) => {
      await w.stageTo(shared.close);
      await w.press('to-setup');
      await w.press('open-oil');
      await w.type('fill-source', 'plate of the axle');
      await w.press('fill-set');
    },
  },
  {
    id: 'take-off with ratio, seal and letter',
    machine: /Old estate car/,
    says: 'Reads low since the other tyres',
    family: 'speedometer-takeoff',
    fault: 'ratio-low',
    between: async (w) => {
      const { page } = w;
      await w.stageTo(shared.close);
      await w.press('to-ratio');
      await w.type('desk-tyre', '195/70R14');
      await w.type('desk-axleRatio', '3.90');
      await w.type('desk-drive', '7, 8');
      await w.type('desk-driven', '18-24');
      await w.type('desk-nowDrive', '7');
      await w.type('desk-nowDriven', '25');
      await page.getByRole('radiogroup', { name: ratio.pairs }).getByRole('radio').first().waitFor();
      await w.press('keep-ratio');
      await page.getByTestId('ratio-kept').waitFor();
      await byTelephone(w, 'Driven gear, by the ratio');
    },
  },
  {
    id: 'wrong width sent back and ordered again',
    machine: /Ticket-office wall/,
    says: 'Goes out crooked',
    family: 'slide-rack-drive',
    fault: 'right-pinion',
    mode: 'skips',
    between: async (w) => {
      const { page } = w;
      await readSlidePinion(page);
      await w.press('find-parts');
      await page
        .getByTestId(/^choose-/)
        .first()
        .click();
      const job = page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
      await w.press('order');
      await w.press('arrived');
      await inspect(page, 'teeth', '11');
      await inspect(page, 'faceWidthMm', '12');
      await page.getByLabel(match.noteForTheReturnMay).fill('pack for the older wall');
      await w.press('refuse');
      await page.goto(`${job}/parts/rpinion`);
      await w.press('order');
      await w.press('arrived');
      await inspect(page, 'teeth', '11');
      await inspect(page, 'faceWidthMm', '10.02');
      await inspect(page, 'boreDiameterMm', '12');
      await w.press('accept');
      await page.getByTestId('order-accepted').waitFor();
      await w.stageTo(shared.close);
      await w.press('fitted');
    },
  },
];

/** From the machine at the counter to the closed record. */
export async function walk(stage: Stage, asked: Walk, size: { width: number; height: number } = PHONE): Promise<WalkCounts> {
  const { machine, says, family, fault, mode, between, secondCheck, lookOn } = asked;
  const w = await Walker.at(stage, size);
  const { page } = w;
  await arrive(page, stage.address, 'Tobin');
  w.start();
  if (typeof says === 'string') await takeIn(page, machine, says);
  else {
    await button(page, shared.takeInAMachine).click();
    await button(page, machine).click();
    await w.press('at-service');
    await w.press(says.find);
    await w.press('start-job');
    await page.waitForURL(/\/jobs\//);
  }
  await w.trace(honest(family, fault, mode));
  const { job } = w;
  if (lookOn) {
    await button(page, shared.seeTheReasonsAndDecide).click();
    await w.press('go-on');
    await page.waitForURL((url) => !url.pathname.endsWith('/verdict'));
    await w.trace(honest(family, fault, mode));
  }
  // Where the verdict stands alone it is decided there; else among its reasons.
  const reasons = button(page, shared.seeTheReasonsAndDecide);
  await reasons.waitFor();
  const here = page.getByTestId('decide-here');
  if (await here.isVisible()) await here.click();
  else {
    await reasons.click();
    await page.getByTestId('decide').first().click();
  }
  await page.waitForURL(/\/jobs\/[^/]+\/(?!verdict)./);
  await between?.(w);
  await w.stageTo(shared.close);
  await page.getByTestId('close-job').waitFor();
  await w.openUp();
  await confirmCautions(page);
  await proveAll(page);
  if (secondCheck) {
    await link(page, 'Tobin is at the bench').click();
    await handOver(page, 'Imke');
    await page.goBack();
    await w.press('second-check');
    await signByPin(page, 'Imke');
  }
  // Something is not set, fitted or proved: said in the note.
  if (await page.getByTestId('still-open').isVisible()) await page.getByLabel(close.noteForNextTime).fill('set by the sheet');
  await w.press('close-job');
  if (secondCheck) await signByPin(page, 'Imke').catch(() => undefined);
  const finished = page.getByText(/^Finished \d/);
  const wanted = page.getByRole('alert');
  await finished.or(wanted).first().waitFor();
  if (await wanted.first().isVisible()) {
    // Something is not set, fitted or proved: said in the note.
    await page.getByLabel(close.noteForNextTime).fill('set by the sheet');
    await w.press('close-job');
    if (secondCheck) await signByPin(page, 'Imke').catch(() => undefined);
  }
  await finished.waitFor();
  await page.waitForTimeout(1500);
  const counts = await w.counted(job);
  await page.context().close();
  return counts;
}
