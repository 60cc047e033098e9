import { z } from 'zod';
import { fit } from './fit.ts';
import { partAttributes, matchFitOutput } from './schema.ts';

export const standsInInput = z.strictObject({
  /** The part that is named on a sheet or was fitted. */
  part: partAttributes,
  /** The one that is offered in its place. */
  other: partAttributes,
});
export const standsInOutput = z.object({
  verdict: z.enum(['same', 'differs', 'notKnown']),
  /** What is otherwise, the likeliest to matter first. */
  differs: matchFitOutput.shape.attributes,
  /** What only one of the two says. */
  unknown: z.array(z.string()),
});
export type StandsIn = z.infer<typeof standsInOutput>;

/**
 * Is the part that is offered in place of another the same part? A supersession or an alternative is a
 * claim like any other: the two are compared attribute by attribute, and one that would need work is
 * not the same. What only one side says makes it unknown, material apart. Lengths mm, angles degrees.
 * @throws CoreFailure where either part gives nothing
 * @example bore 12 against bore 11.5, all else alike → differs, boreDiameterMm −0.5
 */
export function standsIn({ part, other }: z.output<typeof standsInInput>): StandsIn {
  const { attributes } = fit({ wanted: part, part: other });
  const differs = attributes
    .filter(({ state }) => state === 'doesNotFit' || state === 'fitsAfterWork')
    .sort((p, q) => p.probability - q.probability);
  const unknown = attributes.filter(({ state, name }) => state === 'unknown' && name !== 'material').map(({ name }) => name);
  const agreed = unknown.length === 0 ? 'same' : 'notKnown';
  return { verdict: differs.length > 0 ? 'differs' : agreed, differs, unknown };
}

/**
 * Whether two rows may stand under one part number: it is one gear, whoever sells it. What only one of the
 * two says makes them two, for nobody could tell.
 */
export const isOneGear = (part: z.output<typeof partAttributes>, other: z.output<typeof partAttributes>): boolean =>
  standsIn({ part, other }).verdict === 'same';
