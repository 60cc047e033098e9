import { problemSentence } from '@patient-badger/wording';
import { t as shared } from '@patient-badger/wording/shared';
import axe from 'axe-core';
import type { Page } from 'playwright-core';
import { button, link } from './actions.ts';
import { placesOf, SCREENS, settled, SOME_SCREENS, type Places } from './screens.ts';
import { PHONE, start, WIDE, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
let page: Page;
let places: Places;
/** Everything that the screens of this file asked for. */
const asked: URL[] = [];
beforeAll(async () => {
  stage = await start();
  ({ page } = await stage.device(PHONE));
  page.on('request', (request) => asked.push(new URL(request.url())));
  places = await placesOf(stage, page);
});
afterAll(() => stage.stop());

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

describe.each(SOME_SCREENS)('%s', (_name, address) => {
  test('on a phone every target has a name and is 48 px high, nothing runs off the side, and the guidelines are kept', async () => {
    await page.setViewportSize(PHONE);
    await page.goto(address(places));
    await settled(page);
    const found = await pressable(page);
    expect(found.length).toBeGreaterThan(1);
    expect(found.filter(({ name }) => name === '')).toEqual([]);
    expect(found.filter(({ height }) => height < 47.5)).toEqual([]);
    expect(await overflow(page)).toEqual([]);
    expect(await violations(page)).toEqual([]);
  });

  test('on a narrow phone and on the counter nothing runs off the side', async () => {
    for (const size of [{ width: 340, height: 700 }, WIDE]) {
      await page.setViewportSize(size);
      await settled(page);
      expect([size.width, await overflow(page)]).toEqual([size.width, []]);
    }
  });
});

/** Levels A and AA, and whether a name holds the words that one sees. */
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'experimental'];

/** What breaks the guidelines, each with where. */
async function violations(on: Page): Promise<string[]> {
  await on.evaluate(axe.source);
  return on.evaluate(async (values) => {
    const { violations: found } = await (window as unknown as { axe: typeof axe }).axe.run(document, { runOnly: { type: 'tag', values } });
    return found.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 120)}`));
  }, RULES);
}

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
  await page.getByText(problemSentence('unknownJob')).waitFor();
  await page.goto(`${stage.address}/nowhere/at/all`);
  await button(page, shared.toTheBench).click();
  await link(page, /Orchard saw/).waitFor();
});
