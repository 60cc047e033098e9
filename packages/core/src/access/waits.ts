/** A time that was started, by whose figure. */
export interface RunningWait {
  readonly wait: string;
  readonly startedAt: string;
  readonly minutes: number;
  /** Whose figure the minutes are. */
  readonly source: string;
}

export type WaitState =
  | { readonly state: 'notStarted' }
  | { readonly state: 'running'; readonly secondsLeft: number; readonly endsAt: string }
  | { readonly state: 'over' }
  | { readonly state: 'cutShort'; readonly reason: string };
export interface WaitStateOptions {
  readonly started: readonly RunningWait[];
  readonly cut: readonly { readonly wait: string; readonly reason: string }[];
  readonly now: Date;
}

/**
 * How a wait stands at a moment, from what was written down and nothing else: a reload, another device
 * or a night makes no difference. Of several starts the last counts.
 */
export function waitState(id: string, { started, cut, now }: WaitStateOptions): WaitState {
  const reason = cut.findLast(({ wait }) => wait === id)?.reason;
  if (reason !== undefined) return { state: 'cutShort', reason };
  const run = started.findLast(({ wait }) => wait === id);
  if (!run) return { state: 'notStarted' };
  const ends = new Date(Date.parse(run.startedAt) + run.minutes * 60_000);
  // A clock that lags behind the one that wrote it down must not make the wait longer.
  const left = Math.min(run.minutes * 60, (ends.getTime() - now.getTime()) / 1000);
  return left > 0 ? { state: 'running', secondsLeft: Math.ceil(left), endsAt: ends.toISOString() } : { state: 'over' };
}
