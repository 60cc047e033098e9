import type { Entry } from './entry.ts';
import { ruleOf } from './entryKinds.ts';
import { meantBy } from './fold.ts';
import type { JobState } from './jobState.ts';

type EntryLog = Pick<JobState, 'written'>;

/**
 * Who had a hand in this job: everybody who ever wrote of the machine in it, whether it stands or was taken back, and who
 * took it back. What is written at the counter (take-in, promise, quote, closing) and the checks themselves are no hand.
 */
export function handsOf({ written }: EntryLog): ReadonlySet<string> {
  const byId = new Map(written.map((each) => [each.id, each]));
  const isHand = ({ payload }: Entry) => {
    const meant = meantBy(payload, byId);
    if (!meant) return true;
    return !ruleOf(meant).isDesk && !(meant.kind === 'photoTaken' && meant.about === SIGNED_SHEET);
  };
  return new Set(written.filter(isHand).map(({ by }) => by));
}

/** What a photo of the sheet that an outside checker signed is about. */
export const SIGNED_SHEET = 'signed-sheet';

interface SecondCheck {
  /** Who looked it over; of somebody from outside, who wrote down that they did. */
  readonly by: string;
  /** The name of somebody from outside. */
  readonly outside: string | null;
}

/** What only the record knows of a check; on a device each is taken for granted, but that it has arrived. */
export interface CheckProof {
  /** Whether it counts yet: a check that waits on a device for its writer's PIN does not. */
  readonly isSigned?: (check: Entry) => boolean;
  /** Whether this person may be the fresh pair of eyes, beside having had no hand in it. */
  readonly isFresh?: (person: string) => boolean;
  /** Whether the photo of a signed sheet is in the record. */
  readonly hasSheet?: (hash: string) => boolean;
}

/**
 * Who looked the work over without ever having had a hand in it; null where nobody has yet. What was done, left out, cut
 * short, lost or taken back after the check has not been looked at, so it wants a new one; before anybody worked there is
 * nothing to look at. Somebody from outside counts with a photo of the sheet that they signed.
 */
export function secondCheckOf(
  { written, active }: EntryLog & Pick<JobState, 'active'>,
  { isSigned = () => true, isFresh = () => true, hasSheet = () => true }: CheckProof = {},
): SecondCheck | null {
  if (!active.some(({ payload }) => ruleOf(payload).isWork)) return null;
  const byId = new Map(written.map((each) => [each.id, each]));
  const hands = handsOf({ written });
  const last = written.findLastIndex(({ payload }) => {
    const meant = meantBy(payload, byId);
    return meant !== undefined && (ruleOf(meant).isWork === true || ruleOf(meant).changesWhatWasSeen === true);
  });
  const standing = new Set(active);
  const after = written.slice(last + 1).filter((each) => standing.has(each));
  const inside = after.find((each) => each.payload.kind === 'secondChecked' && !hands.has(each.by) && isFresh(each.by) && isSigned(each));
  if (inside) return { by: inside.by, outside: null };
  const isSheet = ({ payload }: Entry) => payload.kind === 'photoTaken' && payload.about === SIGNED_SHEET && hasSheet(payload.hash);
  if (!after.some(isSheet)) return null;
  for (const each of after)
    if (each.payload.kind === 'outsideChecked' && isSigned(each)) return { by: each.by, outside: each.payload.checker };
  return null;
}
