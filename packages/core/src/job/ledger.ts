import { ledgerOf, unbalanced, type LedgerLine } from '../access/ledger.ts';
import type { Pack } from '../trace/pack.ts';
import type { JobState } from './fold.ts';

type Kept = Pick<JobState, 'reached' | 'skipped' | 'closingDone' | 'looseNotes' | 'short'>;

/** Everything that came off in this job, and where it is now. */
export const jobLedger = (pack: Pack, { reached, skipped, closingDone, looseNotes, short }: Kept): readonly LedgerLine[] =>
  ledgerOf(pack, { opened: reached, skipped, closed: closingDone, notes: looseNotes, short });

/** What keeps the job from being closed: parts on the bench, places left empty. */
export const openLedger = (pack: Pack, state: Kept): readonly LedgerLine[] => unbalanced(jobLedger(pack, state));
