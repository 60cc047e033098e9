import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as gear } from '@patient-badger/wording/gear';
import { t as learning } from '@patient-badger/wording/learning';
import { t as prove } from '@patient-badger/wording/prove';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { t as traceWords } from '@patient-badger/wording/trace';
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { findFamily } from '@patient-badger/knowledge';
import ICAL from 'ical.js';
import type { Page } from 'playwright-core';
import { arrive, confirmCautions, link, proveAll, radio, takeIn, sayWhy } from './actions.ts';
import { inTime, PHONE, sql, start, type Stage } from './stage.ts';

jest.setTimeout(120_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const jobOf = (page: Page) => page.url().replace(/(\/jobs\/[^/?]+).*/, '$1');
const idOf = (job: string) => job.split('/').at(-1) ?? '';
const decide = async (page: Page, job: string) => {
  await page.goto(`${job}/verdict`);
  await page.getByTestId('decide').first().click();
  await page.waitForURL((url) => !url.pathname.endsWith('/verdict'));
  await page.goto(`${job}/close`);
  await page
    .getByTestId(/^passed-/)
    .first()
    .waitFor();
  await confirmCautions(page);
};
test('a speedometer is proved at four speeds against the reference; dry after a day, wet after months: it goes back to tracing', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Old estate car/).click();
  await page.waitForURL(/\/jobs\//);
  const job = jobOf(page);
  await decide(page, job);
  await page.getByTestId('speed-shown').waitFor();
  // One point is no line.
  await page.getByTestId('speed-shown').fill('thirty');
  expect(await page.getByTestId('read-reference').isDisabled()).toBe(true);
  for (const shown of ['30', '50', '80']) {
    await page.getByTestId('speed-shown').fill(shown);
    // The plug of the reference is loose now and then.
    for (let i = 0; i < 20 && (await page.getByTestId('speed-reference').inputValue()) === ''; i++) {
      await page.getByTestId('read-reference').click();
      await page.waitForTimeout(150);
    }
    await page.getByTestId('keep-speed').click();
    if (shown === '50') await page.reload();
  }
  await context.setOffline(true);
  await page.getByTestId('speed-shown').fill('100');
  await page.getByTestId('speed-reference').fill('98');
  await page.getByTestId('keep-speed').click();
  await page
    .getByTestId('speed-found')
    .getByText(/% high/)
    .waitFor();
  expect(await page.getByTestId('speed-point').count()).toBe(4);
  await page.getByTestId('speed-kept').click();
  await page.locator('[data-testid="passed-three-speeds"][aria-checked="true"]').waitFor();
  await context.setOffline(false);
  await inTime(
    stage.databaseUrl,
    `SELECT jsonb_array_length(payload->'points') AS points, payload->'passed' AS passed FROM entries WHERE job_id = '${idOf(job)}' AND payload->>'proof' = 'three-speeds'`,
    [{ points: 4, passed: true }],
  );
  await page.getByTestId('passed-hand-stem').click();
  await page.getByTestId('put-later').click();
  await page.getByTestId('follow-up').nth(1).waitFor();
  await page.getByTestId('add-follow-up').click();
  await page.getByTestId('follow-up-due').fill('');
  await page.getByTestId('keep-follow-up').click();
  await page.getByText(prove.pickTheDay, { exact: false }).waitFor();
  await page.getByTestId('follow-up-due').fill('2031-03-01');
  await page.getByTestId('keep-follow-up').click();
  await page.getByTestId('follow-up').nth(2).waitFor();
  const coming = page.waitForEvent('download');
  await page.getByTestId('calendar-file').click();
  const text = await readFile(await (await coming).path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(events.map((each) => each.summary.split(':')[0])).toEqual([shared.lookAgain, shared.lookAgain, expect.stringMatching(/^Call /)]);
  expect(String(events[2]?.startDate)).toBe('2031-03-01');
  await sayWhy(page);
  await page.getByTestId('close-job').click();
  await page.getByText(/^Finished \d/).waitFor();
  await page
    .getByTestId('figures')
    .getByText('100 at', { exact: false })
    .or(page.getByTestId('figures').getByText('at 98', { exact: false }))
    .first()
    .waitFor();

  const later = async (days: number) => {
    await page.clock.setFixedTime(Date.now() + days * 86_400_000);
    await page.goto(stage.address);
    await page.getByTestId('due-now').click();
    await link(page, /^Old estate car/).click();
    await page.getByTestId('follow-up').first().waitFor();
  };
  await page.goto(stage.address);
  await link(page, /Post van/).waitFor();
  expect(await page.getByTestId('due-now').count()).toBe(0);
  await later(1.5);
  await page.getByTestId('it-holds').first().click();
  await page.getByText(prove.itHeld).waitFor();
  await later(121);
  await page.getByTestId('it-does-not').first().click();
  await page.getByTestId('trace-on-dry-months').click();
  await page.waitForURL((url) => !url.pathname.endsWith('/close'));
  await page
    .getByText(containing(prove.failedAfterItWasSet(ANYTHING)))
    .first()
    .waitFor();
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'look' AS look, payload->>'result' AS result FROM entries WHERE job_id = '${idOf(job)}' AND payload->>'kind' = 'lookRecorded' ORDER BY seq DESC LIMIT 1`,
    [{ look: 'oil-trail', result: 'wet' }],
  );
});

test('a steering box is set in its order by three trials, and locked last; rim play is told apart; what the pair takes and what never', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Island lorry/, 'Much play at the wheel');
  const job = jobOf(page);
  await page.goto(`${job}/setup`);
  await page.getByTestId('open-lock').click();
  await page
    .getByTestId('not-yet')
    .getByText(/end float of the worm/)
    .waitFor();
  await page.getByTestId('open-worm-float').click();
  expect(await page.getByTestId('setup-most').inputValue()).toBe('0.05');
  await page.getByTestId('setup-float').fill('0.32');
  await page.getByTestId('setup-shims').fill('0.1x4, 0.3');
  await page.getByTestId('shims-set').click();
  await page.getByTestId('setup-feeler').fill('0.3');
  await page.getByTestId('stand-off-found').getByText('0.20 mm too far', { exact: false }).waitFor();
  await page.getByTestId('setup-feeler').fill('0.06');
  await page.getByTestId('stand-off-set').click();
  await page.getByTestId('setup-wanted').fill('0.25');
  for (const angle of ['0', '120', '240']) {
    await page.getByTestId('setup-angle').fill(angle);
    for (let i = 0; i < 20 && (await page.getByTestId('setup-backlash').inputValue()) === ''; i++) {
      await page.getByTestId('read-dial').click();
      await page.waitForTimeout(150);
    }
    await page.getByTestId('keep-trial').click();
    await page.getByText(`${angle}°: `, { exact: false }).first().waitFor();
  }
  await page.getByTestId('eccentric-set').click();
  for (const [name, figure] of Object.entries({ play: '20', radius: '180', ratio: '10', mesh: '0.2', pitch: '40' }))
    await page.getByTestId(`setup-${name}`).fill(figure);
  await page.getByText(setup.theMeshMakes('9.0 mm', 45, '11.0 mm')).waitFor();
  await page.getByTestId('rim-set').click();
  await page.getByTestId('tick-set').waitFor();
  expect(await page.getByTestId('not-yet').count()).toBe(0);
  await page.getByTestId('tick-set').click();
  await page.getByTestId('open-oil').click();
  await page.getByText(setup.neverAnAdditiveWithActive, { exact: false }).waitFor();
  await page.getByTestId('fill-source').fill('worm oil 460, plate');
  await page.getByTestId('fill-set').click();
  await inTime(
    stage.databaseUrl,
    `SELECT payload->>'wanted' AS wanted FROM entries WHERE job_id = '${idOf(job)}' AND payload->>'kind' = 'settingMade' ORDER BY seq`,
    ['worm-float', 'rocker-float', 'sleeve', 'rim', 'lock', 'oil'].map((wanted) => ({ wanted })),
  );
});

test('odds move after ten closed and proved jobs, with the reason, and an owner switches that off; what was learnt goes out as files', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await takeIn(page, /Ferry slip trimmer/, 'Head gets hot and howls');
  const job = jobOf(page);
  await page.getByText(gear.noneOfThese).waitFor();
  expect(await page.getByTestId('own-odds').count()).toBe(0);
  const family = 'trimmer-bevel-head';
  const machineId = (await sql(stage.databaseUrl, `SELECT id FROM machines WHERE family = '${family}' LIMIT 1`)).rows[0] as { id: string };
  const proofs = (findFamily(family)?.proofs ?? []).map(({ id }) => ({ kind: 'proofDone', proof: id, passed: true }));
  for (let i = 0; i < 10; i++) {
    const jobId = randomUUID();
    const payloads = [
      { kind: 'takenIn', machineId: machineId.id, family, complaint: 'howls', facts: {} },
      { kind: 'decided', fault: 'bearing-gone', remedy: 'replace', probability: 0.9 },
      ...proofs,
      { kind: 'closed', outcome: 'repaired', found: 'bearing', note: 'the owner tries it' },
    ];
    const answer = await page.request.post(`${stage.address}/api/entries`, {
      data: payloads.map((payload) => ({ id: randomUUID(), jobId, at: new Date().toISOString(), by: 'imke', payload })),
    });
    expect(JSON.stringify(await answer.json())).not.toContain('refused');
  }
  await page.goto(`${stage.address}/learnt`);
  await page.getByTestId('learnt-json').waitFor();
  await radio(page, learning.odds).click();
  await page.getByTestId(`priors-${family}`).getByText('→', { exact: false }).first().waitFor();
  const saved = page.waitForEvent('download');
  await page.getByTestId('learnt-csv').click();
  const table = await readFile(await (await saved).path(), 'utf8');
  expect(table.split('\r\n')[0]).toBe('row,family,what,of,times,among,running,unit,mean,low,high,shape,cost');
  expect(table).toMatch(/verdict,trimmer-bevel-head,bearing-gone,,1\d,/);
  await page.goto(job);
  await page
    .getByTestId('own-odds')
    .getByText(containing(traceWords.becauseHereItWasThis(ANYTHING, ANYTHING, ANYTHING, ANYTHING, ANYTHING)))
    .waitFor();
  await page.goto(`${stage.address}/learnt`);
  await radio(page, learning.odds).click();
  await page.getByTestId('own-priors').click();
  await page.getByText(learning.theTracingBeginsWithThe).waitFor();
  await page.goto(job);
  await page.getByText(gear.noneOfThese).waitFor();
  await page.getByTestId('own-odds').waitFor({ state: 'detached' });
});

test('a proof that fails before it goes home leads back with what it showed; what it wants again comes due on its own record', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Lighthouse road snowblower/).click();
  await page.waitForURL(/\/jobs\//);
  const job = jobOf(page);
  await decide(page, job);
  await proveAll(page);
  await page.getByTestId('add-interval').click();
  await page.getByTestId('keep-interval').click();
  await page.getByText(prove.sayWhatItWantsAgain, { exact: false }).waitFor();
  await page.getByTestId('interval-what').fill('Grease both halves');
  await page.getByTestId('interval-days').fill('90');
  await page.getByTestId('keep-interval').click();
  await page.getByText('Grease both halves: again every 90 days').waitFor();
  await page.getByTestId('failed-turns-both').click();
  // "Both halves throw" can fail in more than one way: the look that it repeats is asked again.
  await page.getByTestId('trace-on-turns-both').click();
  await page.waitForURL(/\/look\/drum-drive/);
  await page.getByTestId('result-impeller').click();
  await page.waitForURL((url) => !url.pathname.includes('/look/'));
  await page
    .getByText(containing(prove.failedAfterItWasSet(ANYTHING)))
    .first()
    .waitFor();
  const [{ id }] = (await sql(stage.databaseUrl, `SELECT machine_id AS id FROM jobs WHERE id = '${idOf(job)}'`)).rows as [{ id: string }];
  await page.goto(`${stage.address}/machines/${id}`);
  await page
    .getByTestId('due')
    .getByText(/^Grease both halves/)
    .waitFor();
  const file = page.waitForEvent('download');
  await page.getByTestId('due-calendar').click();
  expect(await readFile(await (await file).path(), 'utf8')).toContain('SUMMARY:Grease both halves');
});
