import { sampled } from '@patient-badger/core/testing';
import { t as find } from '@patient-badger/wording/find';
import { t as machineWords } from '@patient-badger/wording/machine';
import type { Page } from 'playwright-core';
import { arrive, button, link } from './actions.ts';
import type { Stage } from './stage.ts';

/** Where the screens of the demo shop are: a job, a machine, a model, and the shop itself. */
export interface Places {
  readonly address: string;
  readonly job: string;
  readonly machine: string;
  readonly model: string;
}

/** Every screen of the app, on a job that has what it shows. */
export const SCREENS: readonly (readonly [name: string, address: (places: Places) => string])[] = [
  ['bench', ({ address }) => address],
  ['take-in', ({ address }) => `${address}/take-in`],
  ['families', ({ address }) => `${address}/families`],
  ['a family with two lanes', ({ address }) => `${address}/families/slide-rack-drive`],
  ['bringing in a family', ({ address }) => `${address}/families/import`],
  ['practice', ({ address }) => `${address}/practice`],
  ['settings', ({ address }) => `${address}/settings`],
  ['the shop', ({ address }) => `${address}/shop`],
  ['people', ({ address }) => `${address}/shop/people`],
  ['what was changed', ({ address }) => `${address}/shop/changes`],
  ['devices', ({ address }) => `${address}/devices`],
  ['finding', ({ address }) => `${address}/find`],
  ['what was learnt', ({ address }) => `${address}/learnt`],
  ['machines', ({ address }) => `${address}/machines`],
  ['a machine', ({ machine }) => machine],
  ['models', ({ address }) => `${address}/models`],
  ['a model book', ({ model }) => model],
  ['tracing', ({ job }) => job],
  ['verdict', ({ job }) => `${job}/verdict`],
  ['opening', ({ job }) => `${job}/open`],
  ['tray', ({ job }) => `${job}/tray`],
  ['step sheet', ({ job }) => `${job}/sheet`],
  ['look', ({ job }) => `${job}/look/hose-pliable`],
  ['gear card', ({ job }) => `${job}/gear/worm`],
  ['paper for a seller', ({ job }) => `${job}/paper/worm`],
  ['parts', ({ job }) => `${job}/parts/worm`],
  ['parts and time', ({ job }) => `${job}/items`],
  ['deciding', ({ job }) => `${job}/decide`],
  ['quote', ({ job }) => `${job}/quote`],
  ['weakest link', ({ job }) => `${job}/strength`],
  ['saving a part', ({ job }) => `${job}/save/worm`],
  ['making a gear', ({ job }) => `${job}/make/worm`],
  ['setting up', ({ job }) => `${job}/setup`],
  ['closing', ({ job }) => `${job}/close`],
  ['log', ({ job }) => `${job}/log`],
];

/** Half of them with each commit, the other half with another. */
export const SOME_SCREENS = [...sampled(SCREENS, Math.ceil(SCREENS.length / 2))];

/** Signs in and finds a job, a machine and a model, the machine by the keyboard alone. */
export async function placesOf(stage: Stage, page: Page): Promise<Places> {
  await arrive(page, stage.address, 'Imke');
  await link(page, /Lighthouse road saw/).click();
  await page.waitForURL(/\/jobs\//);
  const job = page.url().split('/gear')[0] ?? '';
  // By the keyboard: find it, go to the first.
  await page.goto(stage.address);
  await link(page, 'Imke is at the bench').waitFor();
  await page.keyboard.press('s');
  await page.getByLabel(find.machineOwnerPlatePartNumber).fill('hedge saw');
  await button(page, /Hedge saw/).waitFor();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/machines\//);
  const machine = page.url();
  await button(page, machineWords.theBookOf('')).click();
  await page.waitForURL(/\/models\//);
  return { address: stage.address, job, machine, model: page.url() };
}

/** The screen stands, with what it fetched. */
export async function settled(page: Page): Promise<void> {
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.waitForTimeout(300);
}
