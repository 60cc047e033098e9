import { ANYTHING, containing } from '@patient-badger/wording/testing';
import { t as access } from '@patient-badger/wording/access';
import { t as close } from '@patient-badger/wording/close';
import { t as families } from '@patient-badger/wording/families';
import { t as photoWords } from '@patient-badger/wording/photo';
import { t as shared } from '@patient-badger/wording/shared';
import { t as shell } from '@patient-badger/wording/shell';
import type { Page } from 'playwright-core';
import { aPhoto, arrive, button, confirmCautions, heading, link, proveAll, sayWhy, takeIn, takePhoto } from './actions.ts';
import { inTime, PHONE, start, sql, WIDE, type Stage } from './stage.ts';

jest.setTimeout(180_000);

let stage: Stage;
beforeAll(async () => {
  stage = await start();
});
afterAll(() => stage.stop());

const done = async (page: Page, step: string) => {
  await confirmCautions(page);
  await button(page, access.done(step)).click();
  await button(page, access.done(step)).waitFor({ state: 'detached' });
};

test('an odometer cluster on the phone: opened to the drums, closed with every position confirmed, a missing screw carried through', async () => {
  const { page, context } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Post van/).click();
  await link(page, shell.open).click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-drums').click();
  await heading(page, '4 steps').waitFor();
  expect(
    await page
      .getByText(containing(shared.layOut('screwdriver')))
      .first()
      .isVisible(),
  ).toBe(true);

  // The battery step wants a time by the maker's figure; it runs on through a reload and stands in the way until it is over.
  await done(page, 'Battery off');
  await page.getByLabel(access.minutesFromTheMakersManual).fill('0.2');
  await page.getByTestId('start-airbag').click();
  const left = page.getByTestId('left-airbag');
  await left.waitFor();
  const before = seconds(await left.textContent());
  await page.reload();
  await page.getByTestId('left-airbag').waitFor();
  expect(seconds(await page.getByTestId('left-airbag').textContent())).toBeLessThanOrEqual(before);
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-drums').click();
  await confirmCautions(page);
  expect(await page.getByTestId('step-done').isDisabled()).toBe(true);
  await page.getByTestId('left-airbag').waitFor({ state: 'detached', timeout: 20_000 });

  // A reading, and a screw that was missing before we came.
  await page.getByLabel(access.figure(', km')).fill('184320');
  await page.getByTestId('keep-reading').click();
  await page.getByTestId('odd-cluster-out').click();
  await page.getByTestId('note-cluster-screws-missingBefore').click();
  await done(page, 'Cluster out');
  await takePhoto(page, 'screws.png', aPhoto());
  await page.getByLabel(access.whatMarksItTapePen).fill('Tape at the eight o’clock mark');
  await page.getByTestId('keep-needle-rest').click();
  await done(page, 'Back cover off');
  // From here on no photo gets through: a position is asked for on the way back all the same.
  await context.route('**/api/photos', (route) => route.abort());
  await takePhoto(page, 'drums.png', aPhoto());
  await done(page, 'Pulse motor out');
  await heading(page, access.itLiesOpen).waitFor();
  expect(await heading(page, access.whileItIsOpen).isVisible()).toBe(true);
  await page.getByTestId('extra-bulbs').click();
  await page
    .getByTestId('extra-bulbs')
    .getByText(/^Done:/)
    .waitFor();

  await button(page, access.theTray).click();
  await page.getByText(access.onTheBenchWithOnTray(access.piecesLie)).waitFor();
  expect(await page.getByText(access.missingBeforeWeCame('3 on the bench, 1')).isVisible()).toBe(true);

  // Closing: refused while things lie on the bench.
  await page.getByTestId('decide').waitFor({ state: 'detached' });
  const job = page.url().split('/tray')[0] ?? '';
  await page.goto(`${job}/verdict`);
  await page.getByTestId('decide').click();
  // It leads on once it is kept: whoever leaves before that has not written it.
  await page.waitForURL((url) => !url.pathname.endsWith('/verdict'));
  await page.goto(`${job}/close`);
  await page.getByTestId('close-job').click();
  await page.getByText(close.theLedgerDoesNotBalance, { exact: false }).waitFor();

  const pieces = page.locator('[data-testid^="back-"]');
  for (let i = 0; i < 12 && (await pieces.count()) > 0; i++) {
    await confirmCautions(page);
    const piece = pieces.first();
    const id = (await piece.getAttribute('data-testid')) ?? '';
    const restored = page.locator('[data-testid^="restored-"]:not([aria-disabled="true"])');
    if ((await restored.count()) > 0) {
      expect(await piece.isDisabled()).toBe(true);
      for (let n = await restored.count(); n > 0; n = await restored.count()) {
        await restored.first().click();
        for (let k = 0; k < 100 && (await restored.count()) >= n; k++) await page.waitForTimeout(20);
      }
    }
    await page.getByTestId(id).click();
    await page.getByTestId(id).waitFor({ state: 'detached' });
  }
  await proveAll(page);
  await sayWhy(page);
  await page.getByTestId('close-job').click();
  await page.getByText(/^Finished \d/).waitFor();
  await context.unroute('**/api/photos');
  const confirmed = `SELECT count(*)::int AS n FROM entries WHERE job_id = '${job.split('/').at(-1)}' AND payload->>'kind' = 'captureConfirmed'`;
  await inTime(stage.databaseUrl, confirmed, [{ n: 4 }]);
});

test('a screw left over keeps the job open until a reason is given, and the record says so', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await link(page, /Ferry slip trimmer/).click();
  await link(page, shell.open).click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-square').click();
  await done(page, 'Plug lead off');
  await done(page, 'Head off the tube');
  const job = page.url().split('/open')[0] ?? '';
  await page.goto(`${job}/verdict`);
  await page.getByTestId('decide').click();
  // It leads on once it is kept: whoever leaves before that has not written it.
  await page.waitForURL((url) => !url.pathname.endsWith('/verdict'));
  await page.goto(`${job}/close`);
  await page.getByTestId('torque-clamp-screw').click();
  await page.getByLabel(shared.torque, { exact: true }).fill('nine');
  await page.getByText(access.typeItAsANumberAbove).waitFor();
  await page.getByLabel(shared.torque, { exact: true }).fill('9');
  await page.getByLabel(access.whereDoesItStandMakers).fill('sheet, page 4');
  await page.getByTestId('keep-torque-clamp-screw').click();
  await page.getByText('9 N·m (sheet, page 4)').waitFor();
  await page.getByTestId('left-over').click();
  await page.getByTestId('left-over-locating-screw').click();
  await page.getByText(access.leftOverStaysInThe(1)).waitFor();
  for (const piece of ['Head on, shaft home', 'Cutter clamped']) await done(page, piece);
  await page.getByTestId('take-back').click();
  await done(page, 'Cutter clamped');
  await done(page, 'Plug lead on');
  await proveAll(page);
  await page.getByTestId('close-job').click();
  await page.getByText(close.theLedgerDoesNotBalance, { exact: false }).waitFor();
  expect(await page.getByText(containing(`Locating screw (Head off the tube): ${access.onTheBenchWithOnTray(1)}`)).isVisible()).toBe(true);
  await page.getByLabel(close.whyItIsClosedAll).fill('Hole worn out, a clamp holds it');
  await sayWhy(page);
  await page.getByTestId('close-job').click();
  await page.getByText(close.closedWithPartsNotBack('Hole worn out')).waitFor();
});

test('a step that will not come: its remedies with their risk; passed over with a reason it brings nothing off', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Imke');
  await link(page, /Cargo bike/).click();
  await link(page, shell.open).click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-sensor').click();
  await page.getByTestId('step-stuck').click();
  await page.getByTestId('snag-pressed-on').click();
  await page.getByText(/^Risk: It comes with a bang/).waitFor();
  await page.getByText(access.theStepThatWillNot).waitFor();
  await page.getByTestId('step-skip').click();
  await page.getByLabel(access.whyOffAlreadyNotThere).fill('Came without its battery');
  await page.getByTestId('step-skip-confirm').click();
  await button(page, 'Done: Motor out of the frame').waitFor();
  await page.getByTestId('take-back').click();
  await button(page, 'Done: Battery out').waitFor();
  await page.getByText('It would not come: Will not come off its shaft.').waitFor();
  await page.getByTestId('take-back').click();
  await page.getByText('It would not come:', { exact: false }).waitFor({ state: 'detached' });
  await button(page, access.theTray).click();
  await page.getByText(access.nothingLiesOnTheBench).waitFor();
});

test('once the cover is off, the looks behind it cost less', async () => {
  const { page } = await stage.device(PHONE);
  await arrive(page, stage.address, 'Tobin');
  await takeIn(page, /Orchard saw/, 'Uses no oil at all, tank stays full');
  const line = page.getByRole('button', { name: /^Worm as found/ }).first();
  await button(page, families.looks(shared.more)).click();
  const closed = await line.textContent();
  expect(closed).toContain(shared.toOpenFirst(7));
  await link(page, shell.open).click();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-passage').click();
  for (const step of ['Plug lead off', 'Bar cover off']) await done(page, step);
  await takePhoto(page, 'chain.png', aPhoto());
  await done(page, 'Bar and chain off');
  await link(page, shell.trace).click();
  await button(page, families.looks(shared.more)).click();
  expect(await line.textContent()).toMatch(containing(`${shared.whenItWasClosed(ANYTHING)}${shared.toOpenFirst(4)}`));
});

test('at the counter by keyboard: arrows choose the step, space does it; marks are drawn on a photo and kept', async () => {
  const { page } = await stage.device(WIDE);
  await arrive(page, stage.address, 'Imke');
  await link(page, /Cargo bike/).click();
  await page.goto(`${page.url().split('?')[0]}/open`);
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-nylon').click();
  await heading(page, 'Battery out').waitFor();
  await page.keyboard.press('ArrowDown');
  await heading(page, 'Motor out of the frame').waitFor();
  await page.keyboard.press('ArrowDown');
  await heading(page, 'Gear cover off').waitFor();
  await page.keyboard.press('ArrowUp');
  await heading(page, 'Motor out of the frame').waitFor();
  await takePhoto(page, 'washers.png', aPhoto());
  await button(page, photoWords.markThisPhoto).click();
  const board = page.getByTestId('board');
  await board.waitFor();
  const box = (await board.boundingBox()) ?? { x: 0, y: 0, width: 1, height: 1 };
  await page.mouse.move(box.x + 0.2 * box.width, box.y + 0.2 * box.height);
  await page.mouse.down();
  await page.mouse.move(box.x + 0.6 * box.width, box.y + 0.5 * box.height, { steps: 8 });
  await page.mouse.up();
  await page.getByTestId('keep-marks').click();
  await page.waitForURL(/\/open/);
  const marked = `FROM entries WHERE payload->>'kind' = 'photoMarked'`;
  await inTime(stage.databaseUrl, `SELECT count(*)::int AS n ${marked}`, [{ n: 1 }]);
  const { rows } = await sql(
    stage.databaseUrl,
    `SELECT jsonb_array_length(payload->'strokes') AS lines, payload->'strokes'->0->0 AS first ${marked}`,
  );
  const [{ lines, first }] = rows as [{ lines: number; first: [number, number] }];
  expect(lines).toBe(1);
  expect(first[0]).toBeCloseTo(0.2, 1);
  expect(first[1]).toBeCloseTo(0.2, 1);

  await page.reload();
  await page.getByTestId('other-place').click();
  await page.getByTestId('place-nylon').click();
  await heading(page, 'Battery out').waitFor();
  await confirmCautions(page);
  await page.keyboard.press('Space');
  await button(page, 'Done: Motor out of the frame').waitFor();
});

const seconds = (clock: string | null) => (clock ?? '').split(':').reduce((sum, part) => 60 * sum + Number(part), 0);
