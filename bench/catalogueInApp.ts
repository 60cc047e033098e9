/**
 * A catalogue of a million parts in the app itself, on the phone view: how long until the first rows stand
 * there, from the press to the screen.
 *
 *   npm run bench:catalogue [-- PARTS]     (default 1000000)
 *
 * Baseline in the same run: the same screens with the demo's own few thousand parts.
 */
import { t as catalogue } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { SCENARIO } from '@patient-badger/knowledge/scenario';
import { createDataSource } from '../apps/server/src/dataSource.ts';
import { arrive, link, readSlidePinion } from '../e2e/actions.ts';
import { PHONE, start, WIDE } from '../e2e/stage.ts';
import { layInParts } from './manyParts.ts';
import type { Page } from 'playwright-core';

const PARTS = Number(process.argv[2] ?? 1_000_000);
const TIMES = 5;

const stage = await start();
try {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  const job = await toWall(page);
  const few = await measure(page, job);
  const source = await createDataSource(stage.databaseUrl).initialize();
  await layInParts(source, SCENARIO.shop.id, PARTS);
  await source.destroy();
  const many = await measure(page, job);
  await page.setViewportSize(WIDE);
  const scrolled = await scroll(page);
  console.table(Object.fromEntries(Object.keys(few).map((name) => [name, { 'demo, ms': few[name], 'a million, ms': many[name] }])));
  console.log(`medians of ${TIMES}; to reach: first results below 1,000 ms on the phone view. ${scrolled}`);
} finally {
  await stage.stop();
}

async function toWall(page: Page): Promise<string> {
  await link(page, /Ticket-office wall/).click();
  await page.waitForURL(/\/jobs\//);
  const job = /^.*\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? '';
  await page.goto(`${job}/gear/rpinion`);
  await readSlidePinion(page);
  await page.getByTestId('find-parts').waitFor();
  return job;
}

/** Each from the moment of the press, or of the last letter typed, to rows on the screen. */
async function measure(page: Page, job: string): Promise<Record<string, number>> {
  const row = (name: RegExp) => page.getByRole('checkbox', { name }).first();
  return {
    'catalogue opened': await median(page, async () => {
      await page.goto(stage.address);
      const start = page.getByRole('link', { name: shared.parts });
      await start.waitFor();
      return timed(() => start.click(), row(/./));
    }),
    'beginning of a number typed': await typed(page, 'qb-77', row(/^QB-77/)),
    'a rare word typed': await typed(page, 'pinion', row(/pinion/i)),
    'a word of every row typed': await typed(page, 'quernby', row(/./)),
    'put in order by price': await ordered(page, catalogue.price2),
    'put in order by size': await ordered(page, catalogue.size),
    'parts that fit, by dimensions': await median(page, async () => {
      await page.goto(`${job}/gear/rpinion`);
      const start = page.getByTestId('find-parts');
      await start.waitFor();
      return timed(() => start.click(), page.getByTestId(/^choose-/).first());
    }),
  };
}

async function typed(page: Page, text: string, row: ReturnType<Page['locator']>): Promise<number> {
  return median(page, async () => {
    await page.goto(`${stage.address}/parts`);
    await page.getByRole('checkbox').first().waitFor();
    // A row that stood there before must not count: the answer to these very letters is waited for, then the row.
    const answered = page.waitForResponse((response) => response.url().includes(`text=${encodeURIComponent(text)}`));
    return timed(async () => {
      await page.getByTestId('catalogue-text').fill(text);
      await answered;
    }, row);
  });
}

async function ordered(page: Page, name: string): Promise<number> {
  return median(page, async () => {
    await page.goto(`${stage.address}/parts`);
    const first = page.getByRole('checkbox').first();
    await first.waitFor();
    const before = (await first.getAttribute('aria-label')) ?? '';
    const start = performance.now();
    await page.getByRole('radio', { name, exact: true }).click();
    while ((await page.getByRole('checkbox').first().getAttribute('aria-label')) === before) await page.waitForTimeout(5);
    return performance.now() - start;
  });
}

async function timed(act: () => Promise<unknown>, seen: ReturnType<Page['locator']>): Promise<number> {
  const start = performance.now();
  await act();
  await seen.waitFor();
  return performance.now() - start;
}

async function median(page: Page, once: () => Promise<number>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    await forget(page);
    times.push(await once());
  }
  return Math.round(times.sort((p, q) => p - q)[Math.floor(TIMES / 2)] ?? NaN);
}

/** What the device kept of earlier answers is thrown away: every time is the first. */
async function forget(page: Page): Promise<void> {
  await page.goto(`${stage.address}/manifest.webmanifest`);
  // As text: the loader's own marks on functions are not known in the browser.
  await page.evaluate(`new Promise((done) => {
    const gone = indexedDB.deleteDatabase('patient-badger-read');
    gone.onsuccess = gone.onerror = gone.onblocked = () => done();
  })`);
}

/** The wheel turned for a few seconds on the wide table: rows gone through, and how many of them ever stood in the page at once. */
async function scroll(page: Page): Promise<string> {
  await page.goto(`${stage.address}/parts`);
  await page.getByRole('checkbox').first().waitFor();
  await page.mouse.move(600, 500);
  let most = 0;
  for (let i = 0; i < 60; i++) {
    await page.mouse.wheel(0, 1500);
    await page.waitForTimeout(50);
    most = Math.max(most, await page.getByRole('checkbox').count());
  }
  const px = await page.getByTestId('catalogue').evaluate((node) => node.scrollTop);
  return `On the wide table ${Math.round(px / 58)} rows were scrolled through, never more than ${most} of them in the page.`;
}
