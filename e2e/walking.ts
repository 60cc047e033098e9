import { t as traceWords } from '@patient-badger/wording/trace';
import type { BrowserContext, Locator, Page } from 'playwright-core';
import { aPhoto, confirmCautions, heading, takePhoto, trace, type Truth } from './actions.ts';
import { PHONE, sql, type Stage } from './stage.ts';

/** What a walk from take-in to closed record asked of a hand, and what it left on record. */
export interface WalkCounts {
  /** Touches of the screen; touching a field to type in it is none. */
  readonly presses: number;
  /** Fields that were typed in, and readings keyed in on the pad. */
  readonly fields: number;
  /** Entries of the job by their kind; photos are entries too. */
  readonly records: Readonly<Record<string, number>>;
}

const SOON_MS = 1000;

/** Counts touches and typed fields from within the page; a reload goes on counting. */
const COUNTING = `(() => {
  const typed = new WeakSet();
  const isField = (thing) => thing instanceof HTMLInputElement || thing instanceof HTMLTextAreaElement;
  addEventListener('click', (event) => {
    if (!event.isTrusted || isField(event.target)) return;
    window.countOfWalk('presses', event.target.closest('[role],[data-testid]')?.getAttribute('aria-label') ?? event.target.textContent);
    if (event.target.closest('[data-testid="keep-reading"], [data-testid="keep-and-go-on"]')) window.countOfWalk('fields');
  }, true);
  addEventListener('input', (event) => {
    if (!isField(event.target) || typed.has(event.target)) return;
    typed.add(event.target);
    window.countOfWalk('fields');
  }, true);
})()`;

/** A device with a mechanic at it, who is counted. */
export class Walker {
  readonly page: Page;
  private readonly stage: Stage;
  private readonly counts = { presses: 0, fields: 0 };

  private constructor(stage: Stage, page: Page) {
    this.stage = stage;
    this.page = page;
  }

  static async at(stage: Stage, size: { width: number; height: number } = PHONE): Promise<Walker> {
    const { page, context } = await stage.device(size);
    const walker = new Walker(stage, page);
    await walker.counting(context);
    await page.clock.install();
    return walker;
  }

  private async counting(context: BrowserContext): Promise<void> {
    await context.exposeBinding('countOfWalk', (_, what: 'presses' | 'fields', on?: string) => {
      this.counts[what]++;
      if (process.env.WALK_PRESSES && on !== undefined) console.log(`${this.counts.presses}. ${on.slice(0, 80)}`);
    });
    await context.addInitScript(COUNTING);
  }

  get job(): string {
    return /\/jobs\/([0-9a-f-]+)/.exec(this.page.url())?.[1] ?? '';
  }

  press = (testID: string) => this.page.getByTestId(testID).first().click();
  type = (testID: string, text: string) => this.page.getByTestId(testID).first().fill(text);
  /** Follows the bar of the stages, unless one is there already. */
  async stageTo(name: string): Promise<void> {
    const link = this.page.getByRole('navigation').getByRole('link', { name }).first();
    if ((await link.getAttribute('href')) !== new URL(this.page.url()).pathname) await link.click();
  }

  /** Who arrives is not part of the walk: the device is let in before the shop opens. */
  start(): void {
    this.counts.presses = 0;
    this.counts.fields = 0;
  }

  /** Opens as far as the look or the work needs, takes down what is asked for, waits what has to pass. */
  async openUp(): Promise<void> {
    const { page } = this;
    for (let i = 0; i < 60; i++) {
      await confirmCautions(page);
      await this.captures();
      await this.waits();
      // Several together where that is offered.
      const many = page.getByTestId('steps-done').or(page.getByTestId('pieces-done')).first();
      const one = page.getByTestId('step-done').or(page.locator('[data-testid^="back-"]')).first();
      // Between one press and the next screen there is none for a moment.
      if (!(await comes(many.or(one).first()))) return;
      const step = (await many.isVisible()) ? many : one;
      // It may have gone while it was looked at: then the next is asked for.
      const label = await step.getAttribute('aria-label', { timeout: SOON_MS }).catch(() => null);
      if (label === null || (await step.isDisabled({ timeout: SOON_MS }).catch(() => true))) continue;
      await this.pressNamed(label);
    }
    throw new Error('the way never came to its end');
  }

  /** Presses what is called so, and waits until it is gone; what went meanwhile is let go. */
  private async pressNamed(label: string | null): Promise<void> {
    if (label === null) return;
    const button = this.page.getByRole('button', { name: label, exact: true });
    const pressed = await button.click({ timeout: SOON_MS }).then(
      () => true,
      () => false,
    );
    if (pressed) await button.waitFor({ state: 'detached' });
  }

  /** Each position that is asked for: a figure or a mark where that is what is wanted, a photo otherwise; and back where it was. */
  private async captures(): Promise<void> {
    const { page } = this;
    const asked = page.locator('[data-testid^="leave-"]:not([data-testid$="-confirm"])');
    for (let left = await asked.count(); left > 0; left = await asked.count()) {
      const id = ((await asked.first().getAttribute('data-testid')) ?? '').slice('leave-'.length);
      const keep = page.getByTestId(`keep-${id}`);
      if (await keep.isVisible()) {
        if (await keep.isDisabled())
          await page
            .getByLabel(/^Figure/)
            .first()
            .fill('12');
        await keep.click();
      } else await takePhoto(page, 'position.png', aPhoto());
      await settles(async () => (await asked.count()) < left);
    }
    const together = page.getByTestId('piece-as-it-was');
    if (await together.isVisible()) {
      await this.pressNamed(await together.getAttribute('aria-label', { timeout: SOON_MS }).catch(() => null));
      return;
    }
    const restored = page.locator('[data-testid^="restored-"]:not([aria-disabled="true"])');
    for (let left = await restored.count(); left > 0; left = await restored.count()) {
      await restored.first().click();
      await settles(async () => (await restored.count()) < left);
    }
  }

  /** Starts what has to wait, and lets the time pass. */
  private async waits(): Promise<void> {
    const { page } = this;
    const start = page.locator('[data-testid^="start-"]:not([data-testid="start-job"])').first();
    if (!(await start.isVisible())) return;
    if (await start.isDisabled())
      await page
        .getByLabel(/^Minutes/)
        .first()
        .fill('10');
    await start.click();
    await page.locator('[data-testid^="left-"]').first().waitFor();
    await page.clock.fastForward('24:00:00');
    await page.locator('[data-testid^="left-"]').first().waitFor({ state: 'detached' });
  }

  private async openForLook(): Promise<void> {
    await heading(this.page, traceWords.whatDoYouSee).waitFor();
    await this.openUp();
  }

  /** Look after look as the app advises, to its verdict. */
  trace(truth: Truth): Promise<string[]> {
    return trace(this.page, truth, { open: () => this.openForLook(), here: () => this.openUp() });
  }

  /** What was counted, with what the server holds of the job. */
  async counted(job: string): Promise<WalkCounts> {
    const { rows } = await sql(
      this.stage.databaseUrl,
      `SELECT payload->>'kind' AS kind, count(*)::int AS n FROM entries WHERE job_id = '${job}' GROUP BY 1 ORDER BY 1`,
    );
    const records = Object.fromEntries((rows as { kind: string; n: number }[]).map(({ kind, n }) => [kind, n]));
    return { ...this.counts, records };
  }
}

const comes = (thing: Locator): Promise<boolean> =>
  thing.waitFor({ timeout: SOON_MS }).then(
    () => true,
    () => false,
  );

async function settles(isSo: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 500; i++) {
    if (await isSo()) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  throw new Error('it was pressed and nothing came of it');
}
