import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { fit } from './fit.ts';
import { checkSize, inModules } from './partSize.ts';
import { dimensionsOf } from './plainParts.ts';
import { partAttributes, matchFitOutput, type AttributeFit, type AttributeName, type PartAttributes } from './schema.ts';

export const receiveInput = z.strictObject({
  /** What was ordered, as its listing says. */
  ordered: partAttributes,
  /** What was measured on the part that came. */
  arrived: partAttributes,
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
export type ReceiveResult = z.infer<typeof receiveOutput>;

/** What decides whether it fits, and a wrong delivery differs in, commonest first (shop judgement). */
const FIRST = ['teeth', 'starts', 'faceWidthMm', 'boreDiameterMm', 'hand', 'tipDiameterMm'] as const;
/** A difference that lies within so many of its own ± of what is allowed does not settle anything. */
const TOO_CLOSE = 2;

/**
 * Is what arrived what was ordered? Dimension by dimension; a part that would fit only after work is not
 * what was ordered. Accepted once three of the dimensions that deliveries go wrong in agree and none
 * differs; fewer, where the order says no more; never where nothing was measured. A pitch and a module are one
 * size. Lengths mm, angles degrees.
 * @throws CoreFailure where the order names nothing, or gives one size twice and differently
 * @example ordered face width 10, arrived 12 ± 0.03 → refuse, faceWidthMm, difference 2
 */
export function receive(given: z.output<typeof receiveInput>): ReceiveResult {
  if (Object.keys(given.ordered).length === 0) throw fail('nothingGiven', 'ordered', { reason: 'orderSaysNothing' });
  checkSize(given.ordered, 'ordered');
  checkSize(given.arrived, 'arrived');
  const [ordered, arrived] = inModules(given.ordered, given.arrived);
  // A part that is no gear is the same where all of its few dimensions are.
  const own = dimensionsOf(ordered).filter((name) => name in ordered);
  const first: readonly string[] = own.length > 0 ? own : FIRST.filter((name) => name in ordered);
  const named = [...first, ...Object.keys(ordered).filter((name) => !first.includes(name))];
  const measured = Object.keys(arrived).length === 0 ? [] : fit({ wanted: ordered, part: arrived }).attributes;
  const attributes = measured.filter(({ name }) => name in ordered);
  const off = attributes.filter(({ state }) => state === 'doesNotFit' || state === 'fitsAfterWork');
  const wrong = off.find((each) => isClear(each, ordered, arrived));
  if (wrong) {
    return { verdict: 'refuse', deciding: wrong.name, ...(wrong.difference !== undefined && { difference: wrong.difference }), attributes };
  }
  const agreed = new Set(attributes.filter(({ state }) => state === 'fits').map(({ name }) => name));
  const open = off[0]?.name ?? named.find((name) => !agreed.has(name)) ?? null;
  // What else the order names counts where it names none of what decides.
  const enough = (first.length > 0 ? first : named).every((name) => agreed.has(name));
  return off.length === 0 && enough
    ? { verdict: 'accept', deciding: null, attributes }
    : { verdict: 'measureMore', deciding: open, attributes };
}

/** A rough reading that lies off may be of the right part: it has to be taken again, more closely. */
function isClear({ name, difference, allowed }: AttributeFit, ordered: PartAttributes, arrived: PartAttributes): boolean {
  if (difference === undefined || allowed === undefined) return true;
  const error = (gear: PartAttributes) => {
    const given = gear[name as AttributeName];
    return typeof given === 'object' ? given.plusMinus : 0;
  };
  return Math.abs(difference) > allowed + TOO_CLOSE * Math.hypot(error(ordered), error(arrived));
}
