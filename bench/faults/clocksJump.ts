import { t as log } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import { arrive, button, takeIn } from '../../e2e/actions.ts';
import { box, phone, record } from './device.ts';
import { openShop } from './shopServer.ts';
import { until, type Campaign, type Tally } from './tally.ts';

const DAY_MS = 86_400_000;
const NOTES = 3;

/** The clock of the device jumps by up to years either way between notes that are written without a connection. */
export async function clocksJump({ rounds, database }: Campaign): Promise<Tally> {
  const { url, server, tally, random } = await openShop(database, 44);
  const device = await phone();
  const page = await device.open(server.address);
  await page.context().addInitScript(`(() => {
    const Real = Date;
    window.clockOffsetMs = 0;
    window.Date = class extends Real {
      constructor(...given) { if (given.length) super(...given); else super(Real.now() + window.clockOffsetMs); }
      static now() { return Real.now() + window.clockOffsetMs; }
    };
  })()`);
  await arrive(page, server.address, 'Imke');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  await page.goto(page.url().replace(/(\/jobs\/[^/?]+).*/, '$1/log'));

  for (let round = 0; round < rounds; round++) {
    const texts = Array.from({ length: NOTES }, (_, i) => `clock ${round} ${i}`);
    await page.context().setOffline(true);
    for (const text of texts) {
      await page.evaluate(`window.clockOffsetMs = ${Math.round((random() * 2 - 1) * 3000 * DAY_MS)}`);
      await page.getByLabel(log.remark).fill(text);
      await button(page, shared.writeItDown).click();
      await page.getByTestId('entry').filter({ hasText: text }).first().waitFor();
    }
    await page.context().setOffline(false);
    if (!(await until(async () => (await box(page)).waiting === 0, 30_000))) tally.stuck++;
    tally.stuck += (await box(page)).aside;
    const { texts: counts, order } = await record(url);
    tally.rounds++;
    tally.written += texts.length;
    for (const text of texts) {
      const count = counts.get(text) ?? 0;
      if (count === 0) tally.lost++;
      if (count > 1) tally.doubled++;
    }
    // In the record in the order in which they were written: out of it, a note may stand before its job.
    if (order.filter((text) => texts.includes(text)).join() !== texts.join()) tally.lost++;
  }
  await device.kill();
  await device.forget();
  tally.crashes = server.crashes();
  server.kill();
  return tally;
}
