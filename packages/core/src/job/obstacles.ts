import { isProved, openSettings } from './proofPlan.ts';
import { handsOf } from './secondCheck.ts';
import { openLedger } from './ledger.ts';
import type { Payload } from './entry.ts';
import type { JobState } from './jobState.ts';
import type { LedgerLine } from '../access/ledger.ts';
import type { Pack } from '../trace/pack.ts';

/** What stands in the way of closing a job; the screen words it, the server refuses by it. */
export type ClosingObstacle =
  /** Something that came off is not back; a reason of its own excuses it. */
  | { readonly code: 'ledgerOpen'; readonly lines: readonly LedgerLine[] }
  /** Somebody can be hurt, and nobody with fresh eyes looked it over. */
  | { readonly code: 'secondCheckMissing' }
  /** An apprentice closes it, and nobody looked it over. */
  | { readonly code: 'lookOverMissing' }
  /** Not proved in use; a note excuses it, as the next two. */
  | { readonly code: 'unproved' }
  /** Settings of the family that were not made, by their names. */
  | { readonly code: 'unset'; readonly settings: readonly string[] }
  /** Gears for which a part is chosen that was never fitted, by their names. */
  | { readonly code: 'unfitted'; readonly gears: readonly string[] };

export interface Closing extends Pick<Payload<'closed'>, 'outcome' | 'note' | 'despiteLedger'> {
  readonly isApprentice: boolean;
  /** A second check that counts is there. */
  readonly isChecked: boolean;
}

/** Outcomes after which the machine is meant to work. */
const WORKED: ReadonlySet<Closing['outcome']> = new Set(['cleaned', 'repaired', 'replaced']);

/** Everything that stands in the way of closing this job so, the gravest first; empty where nothing does. */
export function closingObstacles(
  pack: Pack,
  state: JobState,
  { outcome, note = '', despiteLedger = '', isApprentice, isChecked }: Closing,
): readonly ClosingObstacle[] {
  const lines = openLedger(pack, state);
  const settings = openSettings(pack, state);
  const gears = pack.gears.filter(({ id }) => state.gears[id]?.chosen && !state.gears[id].fitted);
  const isWorked = WORKED.has(outcome);
  const unexcused = note.trim() === '';
  const named = (list: readonly { readonly name: string }[]) => list.map(({ name }) => name);
  const obstacles: (ClosingObstacle | false)[] = [
    !isChecked && pack.safetyCritical && { code: 'secondCheckMissing' },
    !isChecked && !pack.safetyCritical && isApprentice && { code: 'lookOverMissing' },
    lines.length > 0 && despiteLedger.trim() === '' && { code: 'ledgerOpen', lines },
    unexcused && !isProved(pack, state) && { code: 'unproved' },
    unexcused && isWorked && settings.length > 0 && { code: 'unset', settings: named(settings) },
    unexcused && isWorked && gears.length > 0 && { code: 'unfitted', gears: named(gears) },
  ];
  return obstacles.filter((obstacle) => obstacle !== false);
}

/** Why somebody may not sign a second check; null where they may. */
export type CheckObstacle = 'notForApprentices' | 'handInIt' | 'notVouched' | 'notAlone';

interface Checker {
  readonly kind: 'secondChecked' | 'outsideChecked';
  readonly by: string;
  readonly isApprentice: boolean;
  /** Who may be the fresh pair of eyes, beside having had no hand in it. */
  readonly isFresh: (person: string) => boolean;
  /** Who else is here and may check. */
  readonly others: readonly string[];
}

export function checkObstacle(
  state: Pick<JobState, 'written'>,
  { kind, by, isApprentice, isFresh, others }: Checker,
): CheckObstacle | null {
  if (isApprentice) return 'notForApprentices';
  const hands = handsOf(state);
  if (kind === 'outsideChecked') return others.some((id) => !hands.has(id) && isFresh(id)) ? 'notAlone' : null;
  if (hands.has(by)) return 'handInIt';
  return isFresh(by) ? null : 'notVouched';
}

interface MachineOnRecord {
  readonly id: string;
  readonly family: string;
  readonly retired: boolean;
  readonly mergedInto: string | null;
}

/** Why two records of a machine cannot become one; null where they can. */
export function mergeObstacle(from: MachineOnRecord, into: MachineOnRecord): 'itself' | 'otherFamily' | 'merged' | 'retired' | null {
  if (from.id === into.id) return 'itself';
  if (from.family !== into.family) return 'otherFamily';
  if (from.mergedInto !== null || into.mergedInto !== null) return 'merged';
  return into.retired ? 'retired' : null;
}

/** What went into another record is that one's: it is not changed, retired or taken up again beside it. */
export const isChangeable = ({ mergedInto }: Pick<MachineOnRecord, 'mergedInto'>): boolean => mergedInto === null;

/** Whether a gear of this chain may be made or saved in the shop: never where somebody can be hurt by it. */
export const isMakeable = ({ safetyCritical }: Pick<Pack, 'safetyCritical'>): boolean => !safetyCritical;
