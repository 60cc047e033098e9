import type { Entry } from './entry.ts';
import { ruleOf } from './entryKinds.ts';
import { EMPTY_JOB, type JobState } from './jobState.ts';

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
  const empty: JobState = { ...EMPTY_JOB, jobId, active, withdrawn };
  return ordered.filter(({ id }) => !gone.has(id)).reduce((state, each) => after(state, each, byId), empty);
}

function after(state: JobState, { payload, ...entry }: Entry, byId: ReadonlyMap<string, Entry>): JobState {
  const next = ruleOf(payload).apply(state, payload, entry);
  return next.closed && bearsOnClosing(payload, byId) ? { ...next, closed: null } : next;
}

/** A closed job that is worked on is open again, and so is one whose work or check is taken back, or put back. */
function bearsOnClosing(payload: Entry['payload'], byId: ReadonlyMap<string, Entry>): boolean {
  if (payload.kind !== 'withdrawn') return ruleOf(payload).isWork === true;
  const meant = ultimately(payload.entry, byId);
  return meant !== undefined && (ruleOf(meant).isCheck === true || ruleOf(meant).isWork === true);
}

/** What a withdrawal is about in the end: it may take back the taking back of the taking back of it. */
function ultimately(id: string, byId: ReadonlyMap<string, Entry>): Entry['payload'] | undefined {
  const seen = new Set<string>();
  let payload = byId.get(id)?.payload;
  while (payload?.kind === 'withdrawn' && !seen.has(payload.entry)) {
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
