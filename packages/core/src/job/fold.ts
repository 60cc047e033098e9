import type { Entry } from './entry.ts';
import { ruleOf } from './entryKinds.ts';
import { finished, newDraft } from './jobDraft.ts';
import type { JobState } from './jobState.ts';

/**
 * Entries of one job, in any order and sent any number of times → what the job is now.
 * Pure and the same everywhere: two devices that hold the same entries see the same job.
 */
export function foldJob(jobId: string, entries: readonly Entry[]): JobState {
  const ordered = inOrder(entries.filter((each) => each.jobId === jobId));
  const gone = withdrawnIds(ordered);
  const active = ordered.filter(({ id, payload }) => !gone.has(id) && payload.kind !== 'withdrawn');
  const withdrawn = ordered.filter(({ id, payload }) => gone.has(id) && payload.kind !== 'withdrawn');
  const byId = new Map(ordered.map((each) => [each.id, each]));
  const draft = newDraft({ jobId, written: ordered, active, withdrawn });
  for (const { payload, ...entry } of ordered) {
    if (gone.has(entry.id)) continue;
    ruleOf(payload).apply(draft, payload, entry);
    if (draft.closed && bearsOnClosing(payload, byId)) draft.closed = null;
  }
  return finished(draft);
}

/** A closed job that is worked on is open again, and so is one whose work or check is taken back, or put back. */
function bearsOnClosing(payload: Entry['payload'], byId: ReadonlyMap<string, Entry>): boolean {
  const meant = meantBy(payload, byId);
  if (!meant) return false;
  return (
    ruleOf(meant).isWork === true ||
    ruleOf(meant).changesWhatWasSeen === true ||
    (payload.kind === 'withdrawn' && ruleOf(meant).isCheck === true)
  );
}

/**
 * What an entry is about in the end: itself, or what a withdrawal takes back, which may be the taking back of the taking
 * back of it. Undefined where that is not among the entries.
 */
export function meantBy(given: Entry['payload'], byId: ReadonlyMap<string, Entry>): Entry['payload'] | undefined {
  const seen = new Set<string>();
  let payload: Entry['payload'] | undefined = given;
  while (payload?.kind === 'withdrawn') {
    if (seen.has(payload.entry)) return undefined;
    seen.add(payload.entry);
    payload = byId.get(payload.entry)?.payload;
  }
  return payload;
}

/**
 * In the order in which the server took them in, whatever a device's clock says; those it does not have
 * yet come last, by time, ties by id. Each id once: an order that every device agrees on.
 */
export function inOrder(entries: readonly Entry[]): readonly Entry[] {
  const once = new Map<string, Entry>();
  for (const each of entries) if (each.seq !== undefined || !once.has(each.id)) once.set(each.id, each);
  const place = ({ seq = Infinity }: Entry) => seq;
  return [...once.values()].sort((p, q) =>
    place(p) === place(q) ? Date.parse(p.at) - Date.parse(q.at) || (p.id < q.id ? -1 : 1) : place(p) - place(q),
  );
}

/** Taking back a withdrawal puts the first entry back; so the latest are settled first. */
function withdrawnIds(ordered: readonly Entry[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const { id, payload } of [...ordered].reverse()) {
    if (payload.kind === 'withdrawn' && !gone.has(id)) gone.add(payload.entry);
  }
  return gone;
}
