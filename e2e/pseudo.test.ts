import type { Page } from 'playwright-core';
import { placesOf, SCREENS, settled, type Places } from './screens.ts';
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
    return {
      wider: texts.filter((element) => element.scrollWidth > element.clientWidth + 1 && element.clientWidth > 0).map(said),
      lines: texts
        .filter((element) => element.closest('button, [role=button], [role=radio], [role=tab]') && linesOf(element) > 2)
        .map(said),
      // Words of the catalogue only: names of machines and families are data.
      pseudo: texts.some((element) => element.textContent?.includes('⟦')),
    };
  });

test.each(SCREENS)(
  '%s: with words a third longer nothing is wider than its box, and no button has more than two lines',
  async (_, address) => {
    for (const size of [PHONE, WIDE]) {
      await page.setViewportSize(size);
      await page.goto(address(places));
      await settled(page);
      const { pseudo, ...found } = await tooLong(page);
      expect([size.width, pseudo, found]).toEqual([size.width, true, { wider: [], lines: [] }]);
    }
  },
);
