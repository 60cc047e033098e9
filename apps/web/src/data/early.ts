/** An answer of the server that was read to its end. */
export interface Answer {
  readonly ok: boolean;
  readonly status: number;
  readonly text: string;
}

/** What `public/early.js` asked for while this code was on its way. */
interface Early {
  kept: string | undefined;
  readonly answers: Record<string, Promise<Answer | null> | undefined>;
}

const early = (globalThis as { early?: Early }).early;

/** The answer to what was asked early, once; null where it was not asked, or not answered. */
export async function takeEarly(path: string): Promise<Answer | null> {
  const answer = early?.answers[path];
  if (early) early.answers[path] = undefined;
  return (await answer) ?? null;
}

/** What was kept on this device, where it was read in time. */
export function takeKept(): string | undefined {
  const kept = early?.kept;
  if (early) early.kept = undefined;
  return kept;
}
