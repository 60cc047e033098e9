import { t as decide } from '@patient-badger/wording/decide';
import { t as find } from '@patient-badger/wording/find';
import { t as shared } from '@patient-badger/wording/shared';
import type { Page } from 'playwright-core';
import { arrive, button, link } from './actions.ts';
import { PHONE, start, WIDE, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
let page: Page;
let job: string;
let machine: string;
let model: string;
/** Everything that the screens of this file asked for. */
const asked: URL[] = [];
beforeAll(async () => {
  stage = await start();
  ({ page } = await stage.device(PHONE));
  page.on('request', (request) => asked.push(new URL(request.url())));
  await arrive(page, stage.address, 'Imke');
  await link(page, /Lighthouse road saw/).click();
  await page.waitForURL(/\/jobs\//);
  job = page.url().split('/gear')[0] ?? '';
  // By the keyboard: find it, go to the first.
  await page.goto(stage.address);
  await link(page, 'Imke is at the bench').waitFor();
  await page.keyboard.press('s');
  await page.getByLabel(find.machineOwnerPlatePartNumber).fill('hedge saw');
  await button(page, /Hedge saw/).waitFor();
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/machines\//);
  machine = page.url();
  await button(page, shared.theBookOfThisModel).click();
  await page.waitForURL(/\/models\//);
  model = page.url();
});
afterAll(() => stage.stop());

const SCREENS = [
  ['bench', () => stage.address],
  ['take-in', () => `${stage.address}/take-in`],
  ['families', () => `${stage.address}/families`],
  ['a family with two lanes', () => `${stage.address}/families/slide-rack-drive`],
  ['bringing in a family', () => `${stage.address}/families/import`],
  ['practice', () => `${stage.address}/practice`],
  ['settings', () => `${stage.address}/settings`],
  [decide.theShop, () => `${stage.address}/shop`],
  ['people', () => `${stage.address}/shop/people`],
  [shared.wasChanged('what'), () => `${stage.address}/shop/changes`],
  ['devices', () => `${stage.address}/devices`],
  ['finding', () => `${stage.address}/find`],
  ['what was learnt', () => `${stage.address}/learnt`],
  ['machines', () => `${stage.address}/machines`],
  ['a machine', () => machine],
  ['models', () => `${stage.address}/models`],
  ['a model book', () => model],
  ['tracing', () => job],
  ['verdict', () => `${job}/verdict`],
  ['opening', () => `${job}/open`],
  ['tray', () => `${job}/tray`],
  ['step sheet', () => `${job}/sheet`],
  ['look', () => `${job}/look/hose-pliable`],
  ['gear card', () => `${job}/gear/worm`],
  ['parts', () => `${job}/parts/worm`],
  [decide.parts('and time'), () => `${job}/items`],
  ['deciding', () => `${job}/decide`],
  ['quote', () => `${job}/quote`],
  ['weakest link', () => `${job}/strength`],
  ['saving a part', () => `${job}/save/worm`],
  ['making a gear', () => `${job}/make/worm`],
  ['setting up', () => `${job}/setup`],
  ['closing', () => `${job}/close`],
  ['log', () => `${job}/log`],
] as const;

interface SmallTarget {
  readonly name: string;
  readonly height: number;
}

/** Everything that can be pressed, with the name a screen reader says and its height. */
const pressable = (on: Page): Promise<SmallTarget[]> =>
  on.locator('button, a[href], [role=button], [role=link], [role=radio], input, textarea').evaluateAll((all) =>
    all
      .filter((each) => (each as HTMLElement).offsetParent !== null)
      .map((element) => ({
        name: (element.getAttribute('aria-label') ?? element.textContent ?? '').trim(),
        height: element.getBoundingClientRect().height,
      })),
  );

const settled = async () => {
  await page.getByRole('heading', { level: 1 }).first().waitFor();
  await page.waitForTimeout(300);
};

describe.each(SCREENS)('%s', (_name, address) => {
  test('on a phone every target has a name and is 48 px high, and nothing runs off the side', async () => {
    await page.setViewportSize(PHONE);
    await page.goto(address());
    await settled();
    const found = await pressable(page);
    expect(found.length).toBeGreaterThan(1);
    expect(found.filter(({ name }) => name === '')).toEqual([]);
    expect(found.filter(({ height }) => height < 47.5)).toEqual([]);
    expect(await overflow(page)).toEqual([]);
  });

  test('on a narrow phone and on the counter nothing runs off the side', async () => {
    for (const size of [{ width: 340, height: 700 }, WIDE]) {
      await page.setViewportSize(size);
      await settled();
      expect([size.width, await overflow(page)]).toEqual([size.width, []]);
    }
  });
});

/** Texts that begin or end outside the window. */
const overflow = (on: Page): Promise<string[]> =>
  on.evaluate(() =>
    [...document.querySelectorAll('[dir=auto], button, input')]
      .filter((element) => {
        const { left, right, width } = element.getBoundingClientRect();
        return width > 0 && (left < -1 || right > window.innerWidth + 1);
      })
      .map((each) => (each.textContent ?? '').slice(0, 60)),
  );

test('of all these screens none asked the network for anything but this server', () => {
  expect(asked.filter((each) => each.host === new URL(stage.address).host).length).toBeGreaterThan(SCREENS.length);
  expect(asked.filter(({ protocol, host }) => protocol.startsWith('http') && host !== new URL(stage.address).host)).toEqual([]);
});

test('an address that leads nowhere says so and leads back', async () => {
  await page.setViewportSize(PHONE);
  await page.goto(`${stage.address}/jobs/0197a000-0000-7000-8000-00000000dead`);
  await page.getByText('There is no such job in this shop.').waitFor();
  await page.goto(`${stage.address}/nowhere/at/all`);
  await button(page, shared.toTheBench).click();
  await link(page, /Orchard saw/).waitFor();
});
