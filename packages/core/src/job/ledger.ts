import { ledgerOf, unbalanced, type LedgerLine } from '../access/ledger.ts';
import type { Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';
import { piecesBack } from './standing.ts';
import { withOwn } from './withOwn.ts';

type LedgerState = Pick<JobState, 'own' | 'reached' | 'skipped' | 'closingDone' | 'handled' | 'looseNotes' | 'short' | 'torques'>;

/** Everything that came off in this job, where it is now, and how tight it goes: the sheet's figure where one was noted. */
export const jobLedger = (
  family: Pack,
  { own, reached, skipped, looseNotes, short, torques, ...back }: LedgerState,
): readonly LedgerLine[] => {
  const pack = withOwn(family, { own });
  return ledgerOf(pack, { opened: reached, skipped, closed: piecesBack(pack, back), notes: looseNotes, short }).map((line) => {
    const noted = torques.find(({ step, item }) => step === line.step && item === line.item.id)?.torque;
    return noted ? { ...line, item: { ...line.item, torque: noted } } : line;
  });
};

/** What keeps the job from being closed: parts on the bench, places left empty. */
export const openLedger = (pack: Pack, state: LedgerState): readonly LedgerLine[] => unbalanced(jobLedger(pack, state));
