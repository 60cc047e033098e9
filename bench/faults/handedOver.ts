import { t as logWords } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import type { Page } from 'playwright-core';
import { arrive, button, link, radio, takeIn } from '../../e2e/actions.ts';
import { box, phone, provenAll, record } from './device.ts';
import { openShop } from './shopServer.ts';
import { pause, until, type Campaign, type Tally } from './tally.ts';

const NAMES = ['Tobin', 'Imke'] as const;
type Name = (typeof NAMES)[number];

/**
 * A phone that two people share, without a connection: one writes, the other takes it by name and writes, and at times
 * the first has it back. Then the line is there again, at times with the server just killed, or the screen made anew.
 * What somebody wrote goes out once they have given their PIN, under their name and no other; a wrong PIN comes before
 * the right one at times.
 */
export async function handedOver({ rounds, database }: Campaign): Promise<Tally> {
  const { url, server, tally, random } = await openShop(database, 44);
  const device = await phone();
  const page = await device.open(server.address);
  await arrive(page, server.address, 'Tobin');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  const log = `${server.address}${/\/jobs\/[^/?]+/.exec(page.url())?.[0] ?? ''}/log`;
  await page.waitForFunction('navigator.serviceWorker.controller !== null');
  let holder: Name = 'Tobin';

  for (let round = 0; round < rounds; round++) {
    await page.goto(log);
    await device.offline(true);
    const written = new Map<string, Name>();
    const write = async () => {
      const text = `round ${round}, note ${written.size}`;
      await page.getByLabel(logWords.remark).fill(text);
      await button(page, shared.writeItDown).click();
      await page.getByTestId('entry').filter({ hasText: text }).first().waitFor();
      written.set(text, holder);
    };
    await write();
    for (let hand = 0; hand < (random() < 0.3 ? 2 : 1); hand++) {
      holder = await takeByName(page, holder);
      await write();
    }
    if (random() < 0.3) await page.reload();
    if (random() < 0.3) {
      server.kill();
      await device.offline(false);
      await pause(random() * 500);
      server.start();
    } else await device.offline(false);
    await pause(random() * 1500);
    // Nobody has given a PIN yet.
    tally.forged += [...(await record(url)).authors.keys()].filter((text) => written.has(text)).length;
    if (!(await until(() => provenAll(page, random() < 0.2), 60_000))) tally.stuck++;
    tally.stuck += (await box(page)).aside;
    const { authors } = await record(url);
    tally.rounds++;
    tally.written += written.size;
    for (const [text, by] of written) {
      const names = authors.get(text) ?? [];
      if (names.length === 0) tally.lost++;
      tally.doubled += Math.max(0, names.length - 1);
      tally.forged += names.filter((name) => name !== by.toLowerCase()).length;
    }
    holder = await holderOf(page);
  }
  await device.kill();
  await device.forget();
  tally.crashes = server.crashes();
  server.kill();
  return tally;
}

const atTheBench = (page: Page) => link(page, /is at the bench/);

async function holderOf(page: Page): Promise<Name> {
  const label = (await atTheBench(page).getAttribute('aria-label')) ?? '';
  return NAMES.find((name) => label.includes(name)) ?? 'Tobin';
}

async function takeByName(page: Page, from: Name): Promise<Name> {
  const to = from === 'Tobin' ? 'Imke' : 'Tobin';
  await atTheBench(page).click();
  await page.getByText('No connection: choose by name.', { exact: false }).waitFor();
  await radio(page, new RegExp(`^${to}`)).click();
  await link(page, `${to} is at the bench`).waitFor();
  await page.goBack();
  return to;
}
