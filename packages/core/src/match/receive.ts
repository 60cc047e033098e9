import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { fit } from './fit.ts';
import { gearAttributes, matchFitOutput } from './schema.ts';

export const receiveInput = z.strictObject({
  /** What was ordered, as its listing says. */
  ordered: gearAttributes,
  /** What was measured on the part that came. */
  arrived: gearAttributes,
});
export const RECEIVED = ['accept', 'refuse', 'measureMore'] as const;
export const receiveOutput = z.object({
  verdict: z.enum(RECEIVED),
  /** The dimension that settles it; for `measureMore` the one to measure next. */
  deciding: z.string().nullable(),
  /** Arrived less ordered. */
  difference: z.number().optional(),
  attributes: matchFitOutput.shape.attributes,
});
export type Received = z.infer<typeof receiveOutput>;

/** What a wrong delivery differs in, commonest first: these are measured before a part is taken (shop judgement). */
const FIRST = ['teeth', 'starts', 'faceWidthMm', 'boreDiameterMm', 'hand', 'tipDiameterMm'] as const;
/** So many of them have to agree. */
const LEAST = 3;

/**
 * Is what arrived what was ordered? Dimension by dimension; a part that would fit only after work is not
 * what was ordered. Accepted once three of the dimensions that deliveries go wrong in agree and none
 * differs; fewer, where the order says no more. Lengths mm, angles degrees.
 * @throws CoreFailure where the order names nothing
 * @example ordered face width 10, arrived 12 ± 0.03 → refuse, faceWidthMm, difference 2
 */
export function receive({ ordered, arrived }: z.output<typeof receiveInput>): Received {
  const named = Object.keys(ordered);
  if (named.length === 0) throw fail('nothingGiven', 'ordered', { reason: 'orderSaysNothing' });
  const measured = Object.keys(arrived).length === 0 ? [] : fit({ wanted: ordered, part: arrived }).attributes;
  const attributes = measured.filter(({ name }) => name in ordered);
  const wrong = attributes.find(({ state }) => state === 'doesNotFit' || state === 'fitsAfterWork');
  if (wrong) {
    return { verdict: 'refuse', deciding: wrong.name, ...(wrong.difference !== undefined && { difference: wrong.difference }), attributes };
  }
  const wanted = FIRST.filter((name) => name in ordered);
  const agreed = wanted.filter((name) => attributes.some((each) => each.name === name && each.state === 'fits'));
  const next = wanted.find((name) => !agreed.includes(name)) ?? null;
  if (agreed.length >= Math.min(LEAST, wanted.length)) return { verdict: 'accept', deciding: null, attributes };
  return { verdict: 'measureMore', deciding: next, attributes };
}
