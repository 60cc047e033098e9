import type { Capture } from '../access/step.ts';
import type { Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';

/** What a photo of a capture is about. */
export const captureAbout = (step: string, capture: string): string => `${step}/${capture}`;

export interface CaptureRecord {
  readonly step: string;
  readonly capture: Capture;
  /** Words, a figure, or why it was left out; null where only photos were taken, or nothing yet. */
  readonly said: JobState['captures'][number] | null;
  /** Hashes of its photos. */
  readonly photos: readonly string[];
  /** It is written down in one way or another. */
  readonly taken: boolean;
  /** There is something to be put back where it was: it was not left out. */
  readonly toRestore: boolean;
  /** It was put off, and nothing has been taken down of it since. */
  readonly later: boolean;
  /** Somebody said that it is back where it was. */
  readonly restored: boolean;
}

type CaptureState = Pick<JobState, 'captures' | 'confirmed' | 'photos'>;

/** The captures of these steps, and how each stands. */
export function captureRecords(
  pack: Pick<Pack, 'steps'>,
  steps: readonly string[],
  { captures, confirmed, photos }: CaptureState,
): readonly CaptureRecord[] {
  return pack.steps
    .filter(({ id }) => steps.includes(id))
    .flatMap(({ id: step, captures: asked }) =>
      asked.map((capture) => {
        const here = (each: { step: string; capture: string }) => each.step === step && each.capture === capture.id;
        const said = captures.find(here) ?? null;
        const taken = photos.filter(({ about }) => about === captureAbout(step, capture.id)).map(({ hash }) => hash);
        const leftOut = said?.skipped !== undefined && taken.length === 0;
        const isTaken = said !== null || taken.length > 0;
        return {
          step,
          capture,
          said,
          photos: taken,
          taken: isTaken,
          toRestore: isTaken && !leftOut,
          later: said?.later === true && taken.length === 0,
          restored: confirmed.find(here)?.ok ?? false,
        };
      }),
    );
}
