import { t as shared } from '@patient-badger/wording/shared';
import type { Walker } from './walking.ts';

/** What is worked out from a reading before the next is asked for. */
const NEXT_MS = 2500;

/**
 * A part by telephone: what the work wants stands there by its name, else it is written down; whose, what it costs; it comes and is
 * fitted.
 */
export async function byTelephone(w: Walker, name: string): Promise<void> {
  await w.stageTo(shared.close);
  await w.press('to-items');
  const wanted = w.page.getByTestId('work-part-ask');
  await w.page.getByTestId('add-item').waitFor();
  if (await wanted.first().isVisible()) {
    await wanted.first().click();
    await w.type('price-supplier', 'Hobdray Stores');
    await w.type('price-of-one', '18');
    await w.type('price-days', '3');
    await w.press('work-part-order');
  } else {
    await w.press('add-item');
    await w.type('item-name', name);
    await w.type('item-supplier', 'Hobdray Stores');
    await w.type('item-price', '18');
    await w.press('keep-item');
  }
  await w.press('item-arrived');
  await w.press('item-accept-and-fit');
}

/** Reads one after the other as the pad goes on to what is worth reading next; what it does not ask for is read off the drawing. */
export async function readOn(w: Walker, values: Readonly<Record<string, string>>): Promise<void> {
  const { page } = w;
  const left = new Map(Object.entries(values));
  const pad = page.getByTestId('pad-display');
  while (left.size > 0) {
    if (!(await pad.isVisible())) await page.getByTestId(`callout-${[...left.keys()][0]}`).click();
    await pad.waitFor();
    const asked = (await page.locator('[data-testid^="pad-of-"]').getAttribute('data-testid'))?.slice('pad-of-'.length) ?? '';
    const keys = left.get(asked);
    if (keys === undefined) {
      await page.getByTestId('pad-close').click();
      continue;
    }
    left.delete(asked);
    for (const key of keys) await page.keyboard.press(key);
    await page.getByTestId(left.size > 0 ? 'keep-and-go-on' : 'keep-reading').click();
    // Another pad may stand in its place at once.
    await page.getByTestId(`pad-of-${asked}`).waitFor({ state: 'detached' });
    // The next one comes by itself, where one is worth its minutes.
    await pad.waitFor({ timeout: NEXT_MS }).catch(() => undefined);
  }
}
