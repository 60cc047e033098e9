import { capture, looseItem, step } from '../access/step.ts';
import type { Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';

/** What a job added itself, by the id of the entry that added it. */
export const ownId = (entryId: string): string => `own-${entryId}`;
export const isOwnId = (given: string): boolean => /^own-[0-9a-f-]{36}$/.test(given);

/** Steps are bits of one number where an opening is worked out; a family and its job's own together have no more. */
export const MOST_STEPS = 30;

/**
 * The family with what this job added to it: own steps, and loose parts and captures of any step. The same pack where
 * nothing was added. For the opening, the way back and the ledger; the tracing keeps to the family as it is, since no
 * look of it knows of an own step. What the pack holds already is not added again.
 */
export function withOwn<P extends Pick<Pack, 'steps'>>(pack: P, { own }: Pick<JobState, 'own'>): P {
  if (own.loose.length + own.captures.length + own.steps.length === 0) return pack;
  const known = new Set(pack.steps.flatMap(({ id, loose, captures }) => [id, ...[...loose, ...captures].map((each) => each.id)]));
  const isNew = ({ id }: { readonly id: string }) => !known.has(id);
  const room = Math.max(0, MOST_STEPS - pack.steps.length);
  const ownSteps = own.steps.filter(isNew).slice(0, room);
  const steps = [...pack.steps, ...ownSteps.map(({ id, name, how, minutes }) => step.parse({ id, name, how, minutes }))];
  return {
    ...pack,
    steps: steps.map((step) => ({
      ...step,
      loose: [
        ...step.loose,
        ...own.loose
          .filter((item) => item.step === step.id && isNew(item))
          .map(({ id, name, part, count, lives }) => looseItem.parse({ id, name, kind: part, count, lives })),
      ],
      captures: [
        ...step.captures,
        ...own.captures
          .filter((asked) => asked.step === step.id && isNew(asked))
          .map(({ id, ask, back }) => capture.parse({ id, kind: 'photo', ask, back })),
      ],
    })),
  };
}
