import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import { execFileSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from 'playwright-core';
import pg from 'pg';
import { SAMPLE } from '../../apps/server/src/demo/sample.ts';
import { button } from '../../e2e/actions.ts';
import { CHROMIUM, PHONE } from '../../e2e/stage.ts';
import { pause } from './tally.ts';

/** A phone whose browser can be killed like a process that the system wants the memory of: what it kept stays. */
export async function phone() {
  const home = await mkdtemp(join(tmpdir(), 'badger-phone-'));
  let context: BrowserContext | null = null;
  return {
    async open(address: string): Promise<Page> {
      context = await chromium.launchPersistentContext(home, {
        ...CHROMIUM,
        viewport: PHONE,
        reducedMotion: 'reduce',
      });
      context.setDefaultTimeout(20_000);
      const page = context.pages()[0] ?? (await context.newPage());
      await page.goto(address);
      return page;
    },
    offline: (is: boolean) => context?.setOffline(is),
    /** SIGKILL to the browser and all that it started. */
    async kill(): Promise<void> {
      const gone = context;
      context = null;
      try {
        execFileSync('pkill', ['-9', '-f', home]);
      } catch {
        // Nothing of it was left.
      }
      await gone?.close().catch(() => undefined);
    },
    forget: () => rm(home, { recursive: true, force: true }),
  };
}

/** How often each text stands in the record, as remarks, and under whose names, and how many photos a job has. */
export async function record(url: string): Promise<{
  texts: ReadonlyMap<string, number>;
  authors: ReadonlyMap<string, readonly string[]>;
  order: readonly string[];
  photos: number;
  hashes: number;
}> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const remarks = await client.query<{ text: string; by: string }>(
    `SELECT payload->>'text' AS text, "by" FROM entries WHERE payload->>'kind' = 'remark' ORDER BY seq`,
  );
  const photos = await client.query<{ hash: string }>("SELECT payload->>'hash' AS hash FROM entries WHERE payload->>'kind' = 'photoTaken'");
  await client.end();
  const order = remarks.rows.map(({ text }) => text);
  const authors = new Map<string, string[]>();
  for (const { text, by } of remarks.rows) authors.set(text, [...(authors.get(text) ?? []), by]);
  const texts = new Map([...authors].map(([text, names]) => [text, names.length]));
  return { texts, authors, order, photos: photos.rows.length, hashes: new Set(photos.rows.map(({ hash }) => hash)).size };
}

/** What waits in the box of the device, and how much of it is set aside. */
export const box = (page: Page) =>
  page.evaluate<{ waiting: number; aside: number }>(`new Promise((resolve, reject) => {
    const open = indexedDB.open('patient-badger-outbox');
    open.onerror = () => reject(open.error);
    open.onsuccess = () => {
      const all = open.result.transaction('waiting').objectStore('waiting').getAll();
      all.onsuccess = () => resolve({ waiting: all.result.filter((each) => !each.refused).length, aside: all.result.filter((each) => each.refused).length });
    };
  })`);

/** What the app says where a PIN does not open any more. */
const LOCKED = /^Too many wrong PINs/;

/** Whoever is asked gives their PIN, until nothing waits; where it was wrong too often that day and is locked, their passphrase. */
export async function provenAll(page: Page, wrongFirst = false): Promise<boolean> {
  const field = page.getByLabel(/^PIN of/).first();
  if (await field.isVisible()) {
    if (wrongFirst) {
      await field.fill('1111');
      await page.getByTestId('prove').first().click();
      await page.getByRole('alert').first().waitFor();
    }
    await field.fill(SAMPLE.pin);
    await page.getByTestId('prove').first().click();
    await pause(300);
    if ((await field.isVisible()) && (await page.getByText(LOCKED).first().isVisible())) {
      await button(page, shell.byPassphraseInstead).click();
      await page
        .getByLabel(/^Passphrase of/)
        .first()
        .fill(SAMPLE.passphrase);
      await page.getByTestId('prove').first().click();
      await pause(300);
    }
  }
  return (await box(page)).waiting === 0;
}

/**
 * A browser that was killed soon after somebody came may have forgotten who, and its cookies: they sign in again, or say so
 * again and give their PIN.
 */
export async function comeIn(page: Page, name: string): Promise<void> {
  const there = page.getByRole('link', { name: new RegExp(`^${name} is at the bench`) });
  const who = page.getByRole('button', { name, exact: true });
  await there.or(who).first().waitFor();
  // What is known of a session is asked for once the screen stands.
  await pause(600);
  if (await page.getByText('This device is no longer signed in.', { exact: false }).isVisible()) {
    await page.getByLabel(shared.yourName).fill(name);
    await page.getByLabel(shell.passphrase).fill(SAMPLE.passphrase);
    await page.getByTestId('sign-in').click();
    await page.getByTestId('sign-in').waitFor({ state: 'detached' });
  }
  if (!(await who.isVisible())) return;
  await who.click();
  const pin = page.getByLabel(`PIN of ${name}`).first();
  await there.or(pin).first().waitFor();
  if (await pin.isVisible()) await provenAll(page);
  await there.waitFor();
}
