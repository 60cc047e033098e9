import { t as peopleWords } from '@patient-badger/wording/people';
import { t as close } from '@patient-badger/wording/close';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import { arrive, button, handOver, link, radio, signByPin } from './actions.ts';
import { inTime, PHONE, sql, start, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

/** Everything that this browser keeps of what was read, as text. */
const kept = `(async () => {
  const found = [JSON.stringify({ ...localStorage })];
  for (const { name } of await indexedDB.databases()) {
    const db = await new Promise((resolve, reject) => {
      const open = indexedDB.open(name);
      open.onsuccess = () => resolve(open.result);
      open.onerror = () => reject(open.error);
    });
    for (const table of db.objectStoreNames) {
      const all = await new Promise((resolve) => {
        const asked = db.transaction(table).objectStore(table).getAll();
        asked.onsuccess = () => resolve(asked.result);
      });
      found.push(JSON.stringify(all));
    }
    db.close();
  }
  for (const name of await caches.keys())
    for (const { url } of await (await caches.open(name)).keys()) if (url.includes('/api/')) found.push(url);
  return found.join(' ');
})()`;

test('one person alone, in flight mode, passes no second check: it waits for the PIN of whose name was taken', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await link(page, /School lawn tractor/).click();
  await page.getByText(shared.safetyCriticalJob).first().waitFor();
  const job = page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
  const id = job.split('/').at(-1) ?? '';
  // Tobin has given his PIN on this phone once, and given it back.
  await link(page, 'Imke is at the bench').click();
  await handOver(page, 'Tobin');
  await handOver(page, 'Imke');
  await sql(
    stage.databaseUrl,
    `WITH n AS (UPDATE shops SET last_seq = last_seq + 1 RETURNING last_seq) INSERT INTO entries (id, shop_id, job_id, "at", "by", payload, seq)
     SELECT gen_random_uuid(), 'skarrow', '${id}', now(), 'imke', '{"kind":"decided","fault":"sector-stripped","remedy":"replace","probability":0.9}', last_seq FROM n`,
  );
  await page.goto(`${job}/close`);
  await page.getByTestId('close-job').waitFor();
  await context.setOffline(true);
  await link(page, 'Imke is at the bench').click();
  await page.getByText(peopleWords.noConnectionChooseByName, { exact: false }).waitFor();
  await radio(page, /^Tobin/).click();
  await link(page, 'Tobin is at the bench').waitFor();
  await page.goBack();
  await page.getByTestId('second-check').click();
  await page.getByText(close.writtenAsPendingItCounts, { exact: false }).waitFor();
  await page.getByTestId('close-job').click();
  await page.getByText(close.withoutAConnectionNoSafety, { exact: false }).waitFor();
  await context.setOffline(false);
  // The server is told that the phone changed hands, and takes nothing under Tobin's name.
  await page.getByText(shell.isItYou('Tobin')).waitFor();
  await inTime(stage.databaseUrl, `SELECT count(*)::int AS n FROM sessions WHERE active_id IS NULL`, [{ n: 1 }]);
  const checks = `SELECT "by" FROM entries WHERE job_id = '${id}' AND payload->>'kind' = 'secondChecked'`;
  expect((await sql(stage.databaseUrl, checks)).rows).toEqual([]);
  await page.reload();
  await page.getByText(shell.isItYou('Tobin')).waitFor();
  // Tobin himself comes by: first it is him, then he signs.
  await signByPin(page, 'Tobin');
  await page.getByTestId('sign-pending').waitFor();
  expect((await sql(stage.databaseUrl, checks)).rows).toEqual([]);
  await signByPin(page, 'Tobin');
  await inTime(stage.databaseUrl, checks, [{ by: 'tobin' }]);
  await page.getByText(close.lookedOverBy('Tobin')).waitFor();
});

test.each([[true], [false]])('signed out (connection: %s), nothing that was read is left, in no window', async (connected) => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Wren');
  await link(page, /Orchard saw/).click();
  await page.getByTestId('do-look').waitFor();
  const other = await context.newPage();
  await other.goto(stage.address);
  await link(other, 'Wren is at the bench').waitFor();
  for (let i = 0; i < 50 && !(await page.evaluate<string>(kept)).includes('Orchard'); i++) await page.waitForTimeout(100);
  expect(await page.evaluate<string>(kept)).toContain('Orchard');
  await link(page, 'Wren is at the bench').click();
  await page.getByTestId('sign-out').waitFor();
  await context.setOffline(!connected);
  await page.getByTestId('sign-out').click();
  await page.getByLabel(shared.yourName).waitFor();
  await other.getByLabel(shared.yourName).waitFor();
  await page.waitForTimeout(600);
  expect(await page.evaluate<string>(kept)).not.toMatch(/Orchard|School|Lighthouse|api\/photos/);
  await context.setOffline(false);
  // Whoever opens it next is not let in by the session that was there.
  await page.reload();
  await page.getByLabel(shared.yourName).waitFor();
  await inTime(stage.databaseUrl, `SELECT count(*)::int AS n FROM sessions WHERE person_id = 'wren'`, [{ n: 0 }]);
  expect(await button(page, shared.takeInAMachine).isVisible()).toBe(false);
});
