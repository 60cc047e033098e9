import type { Page } from 'playwright-core';
import { placesOf, settled, SOME_SCREENS, type Places } from './screens.ts';
import { PHONE, start, WIDE, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
let page: Page;
let places: Places;
beforeAll(async () => {
  stage = await start();
  ({ page } = await stage.device(PHONE));
  places = await placesOf(stage, page);
  // From the next page on every word of the catalogue is 35 % longer.
  await page.addInitScript(() => void (globalThis.pseudoLanguage = true));
});
afterAll(() => stage.stop());

/** Texts wider than their box, and labels of buttons over more than two lines. */
const tooLong = (on: Page) =>
  on.evaluate(() => {
    const shown = (element: Element) => element.getClientRects().length > 0;
    const linesOf = (element: Element) => {
      const range = document.createRange();
      range.selectNodeContents(element);
      return new Set([...range.getClientRects()].map(({ bottom }) => Math.round(bottom / 4))).size;
    };
    const texts = [...document.querySelectorAll('[dir=auto]')].filter(shown);
    const said = (element: Element) => (element.textContent ?? '').slice(0, 80);
    // The first text of a button is its label; what stands below it is a sentence of its own.
    const isLabel = (element: Element) => {
      const button = element.closest('button, [role=button], [role=radio], [role=tab]');
      return button !== null && button.querySelector('[dir=auto]') === element;
    };
    // Names of machines and owners are data, and are cut where the screen says so.
    const isCut = (element: Element) => getComputedStyle(element).textOverflow === 'ellipsis' && !element.textContent?.includes('⟦');
    return {
      wider: texts
        .filter((element) => element.scrollWidth > element.clientWidth + 1 && element.clientWidth > 0 && !isCut(element))
        .map(said),
      lines: texts.filter((element) => isLabel(element) && linesOf(element) > 2).map(said),
      pseudo: texts.some((element) => element.textContent?.includes('⟦')),
    };
  });

test.each(SOME_SCREENS)(
  '%s: with words a third longer nothing is wider than its box, and no button has more than two lines',
  async (_, address) => {
    await page.setViewportSize(PHONE);
    await page.goto(address(places));
    for (const size of [PHONE, WIDE]) {
      await page.setViewportSize(size);
      await settled(page);
      const { pseudo, ...found } = await tooLong(page);
      expect([size.width, pseudo, found]).toEqual([size.width, true, { wider: [], lines: [] }]);
    }
  },
);
