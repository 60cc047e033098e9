import { ruleFor } from './rules.ts';
import type { AttributeName, PartAttributes, PartType } from './schema.ts';

/** A dimension as an order names it, and how far what comes may be off; nothing where it is a count, a standard size or a word. */
export interface OrderedDimension {
  readonly name: AttributeName;
  readonly value: number | string;
  readonly allowed?: number;
}

/** A size is said in one of these ways. */
const SIZES = ['normalModuleMm', 'axialModuleMm', 'diametralPitch'] as const;
const SIZE = SIZES[0];
const SEATED = ['teeth', SIZE, 'faceWidthMm', 'boreDiameterMm', 'boreShape'] as const;

/**
 * Without which nobody can make or find one: a seller would have to guess (shop judgement). A worm's length and a rack's teeth are cut to
 * suit; a hand decides wherever teeth lean.
 */
const DECIDES: Readonly<Partial<Record<PartType, readonly AttributeName[]>>> = {
  spur: SEATED,
  helical: [...SEATED, 'helixAngleDeg', 'hand'],
  bevel: [...SEATED, 'mateTeeth'],
  worm: ['starts', SIZE, 'hand', 'pitchDiameterMm', 'boreDiameterMm', 'boreShape'],
  wormWheel: [...SEATED, 'hand'],
  sector: ['teeth', SIZE, 'faceWidthMm', 'boreDiameterMm'],
  rack: [SIZE, 'pressureAngleDeg', 'faceWidthMm'],
  screw: ['starts', SIZE, 'hand', 'outsideDiameterMm', 'lengthMm'],
};

/** What is measured or cut to a figure of its own; a module or an angle is one of a standard's. */
const IS_STANDARD: readonly string[] = [...SIZES, 'pressureAngleDeg', 'helixAngleDeg', 'leadAngleDeg'];

/** What decides a gear of this kind and is not said, the first to ask for first. A kind that nobody said is missing itself. */
export function missingForOrder(wanted: PartAttributes): readonly AttributeName[] {
  const decides = (wanted.type && DECIDES[wanted.type]) ?? ['type'];
  return decides.filter((name) => (name === SIZE ? SIZES : [name]).every((each) => wanted[each] === undefined));
}

/**
 * A gear as it is ordered where no catalogue number names it: each dimension with how far it may be off and the part still fits as it is
 * (the same figures by which what comes is judged). Lengths mm, angles degrees.
 *
 * @example
 * orderedAs({ type: 'spur', teeth: 11, boreDiameterMm: { value: 12, plusMinus: 0.03 } }) // bore 12, allowed 0.08
 */
export const orderedAs = (wanted: PartAttributes): readonly OrderedDimension[] =>
  (Object.entries(wanted) as [AttributeName, PartAttributes[AttributeName]][]).flatMap(([name, given]): OrderedDimension[] => {
    if (given === undefined) return [];
    const value = typeof given === 'object' ? given.value : given;
    const rule = ruleFor(name, wanted.type);
    if (typeof value !== 'number' || rule?.kind !== 'size' || IS_STANDARD.includes(name)) return [{ name, value }];
    return [{ name, value, allowed: rule.fixed + rule.share * value }];
  });
