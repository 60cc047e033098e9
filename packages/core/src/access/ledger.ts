import { stepsNamed, type ClosingStep, type LooseItem, type Step } from './step.ts';

export const LOOSE_NOTES = ['missingBefore', 'broken', 'lost', 'replaced'] as const;
/** What was noted of a loose part besides its coming off and going back. */
export type LooseNote = (typeof LOOSE_NOTES)[number];

export interface LedgerFacts {
  /** Steps done, in order; skipped ones brought nothing off. */
  readonly opened: readonly string[];
  readonly skipped: readonly { readonly step: string }[];
  /** Pieces of the way back that are done, with what went back where that was not all. */
  readonly closed: readonly string[];
  readonly notes: readonly { readonly step: string; readonly item: string; readonly what: LooseNote; readonly count: number }[];
  readonly short: readonly { readonly step: string; readonly item: string; readonly count: number }[];
}

/** One kind of fastener or part of one step: what came off, what lies on the bench, what is back. */
export interface LedgerLine {
  readonly step: string;
  readonly stepName: string;
  readonly item: LooseItem;
  readonly missingBefore: number;
  readonly broken: number;
  readonly lost: number;
  readonly replaced: number;
  readonly back: number;
  /** Lies on the bench now. */
  readonly onTray: number;
  /** Places that stay empty if nothing more is done: lost or broken and not replaced. A place that was empty before is not counted. */
  readonly wanting: number;
}

/**
 * What came off against what went back, step by step in the order of opening. Every place filled by a
 * part that came off, or a replacement, or known to have been empty before: the ledger balances.
 */
export function ledgerOf(
  { steps, closing }: { readonly steps: readonly Step[]; readonly closing: readonly ClosingStep[] },
  { opened, skipped, closed, notes, short }: LedgerFacts,
): readonly LedgerLine[] {
  const passedOver = new Set(skipped.map(({ step }) => step));
  const shut = new Set([...closed, ...closing.filter(({ id }) => closed.includes(id)).flatMap(({ closes }) => closes)]);
  const done = opened.filter((id) => !passedOver.has(id));
  return stepsNamed(steps, done).flatMap((step) =>
    step.loose.map((item) => {
      const noted = (what: LooseNote) =>
        notes
          .filter((each) => each.step === step.id && each.item === item.id && each.what === what)
          .reduce((sum, { count }) => sum + count, 0);
      const [missingBefore, broken, lost, replaced] = [noted('missingBefore'), noted('broken'), noted('lost'), noted('replaced')];
      const there = Math.max(0, item.count - missingBefore - broken - lost + replaced);
      const kept = short.filter((each) => each.step === step.id && each.item === item.id).reduce((sum, { count }) => sum + count, 0);
      const back = shut.has(step.id) ? Math.max(0, there - kept) : 0;
      return {
        step: step.id,
        stepName: step.name,
        item,
        missingBefore,
        broken,
        lost,
        replaced,
        back,
        onTray: there - back,
        wanting: Math.max(0, broken + lost - replaced),
      };
    }),
  );
}

/** Lines that keep the ledger from balancing: something lies on the bench, or a place stays empty that was filled before. */
export const unbalanced = (ledger: readonly LedgerLine[]): readonly LedgerLine[] =>
  ledger.filter(({ onTray, wanting }) => onTray > 0 || wanting > 0);
