import { z } from 'zod';
import { own } from '../operation/own.ts';
import { id, sentence } from '../quantity/bounds.ts';

/** One of two sides: `left` with the letter `l`, `front` with `f`. */
export const side = z.strictObject({ id, letter: z.string().min(1).max(3), name: sentence });
type Side = z.infer<typeof side>;
type Sides = readonly [Side, Side];

const sidesOf = z.looseObject({
  sides: z.tuple([side, side]),
  formerly: z.record(id, id).default({}),
  mirrored: z.record(id, id).default({}),
});

/**
 * A family file with everything that is written for one side written out for both. Whatever has a
 * `{side}` in it (an entry by its id, a place in a list, a field of likelihoods) becomes two: `{side}`
 * and `{name}` are the side it is for, `{other}` and `{otherName}` the other, `{letter}` and
 * `{otherLetter}` the letters in the ids of bodies. `formerly` keeps the id that one side had before it was
 * written for both, and `mirrored` tells in the end which id is whose like on the other side. A file
 * without sides stays as it is, and one that was written out before as well.
 */
export function withSidesWritten(raw: unknown): unknown {
  const parsed = sidesOf.safeParse(raw);
  if (!parsed.success || Object.keys(parsed.data.mirrored).length > 0) return raw;
  const { sides, formerly, mirrored: _, ...rest } = parsed.data;
  const pairs: [string, string][] = [];
  const now = (each: string) => own(formerly, each) ?? each;
  const both = withTexts(written(rest, sides, pairs), now) as Record<string, unknown>;
  const mirrored = Object.fromEntries(pairs.flatMap(([one, other]) => [[now(one), now(other)] as const, [now(other), now(one)] as const]));
  return { ...both, sides, mirrored };
}

/** A value with every text in it changed, the names of its fields too. */
function withTexts(value: unknown, change: (text: string) => string): unknown {
  if (typeof value === 'string') return change(value);
  if (Array.isArray(value)) return [...(value as unknown[])].map((each) => withTexts(each, change));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [change(key), withTexts(each, change)]));
}

const FOR_ONE = /\{(?:side|letter)\}/;

function written(value: unknown, sides: Sides, pairs: [string, string][]): unknown {
  // Spread first: what is handed in may be a list that only looks like one.
  if (Array.isArray(value))
    return [...(value as unknown[])].flatMap((each) => (isForOne(each) ? bothOf(each, sides, pairs) : [written(each, sides, pairs)]));
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, each]): [string, unknown][] =>
      FOR_ONE.test(key)
        ? turns(sides).map((turn) => [filler(turn)(key), withTexts(each, filler(turn))])
        : [[key, written(each, sides, pairs)]],
    ),
  );
}

const isForOne = (value: unknown): boolean => {
  if (typeof value === 'string') return FOR_ONE.test(value);
  const text: unknown = value !== null && typeof value === 'object' && !Array.isArray(value) ? idOf(value) : undefined;
  return typeof text === 'string' && FOR_ONE.test(text);
};

/** What tells an entry of a list from the others. */
function idOf(value: object): unknown {
  const { faults, order, ...named } = value as Record<string, unknown>;
  const whole = [faults, order].find((each): each is unknown[] => Array.isArray(each));
  const name = (['id', 'fault', 'from', 'result'] as const).map((key) => named[key]).find((each) => typeof each === 'string');
  // A lane of the drawing and two faults together are told by all that they name.
  return whole ? [name, ...whole].join(' ') : name;
}

const turns = ([one, other]: Sides): [Side, Side][] => [
  [one, other],
  [other, one],
];

function bothOf(value: unknown, sides: Sides, pairs: [string, string][]): unknown[] {
  const [one, other] = turns(sides).map((turn) => withTexts(value, filler(turn)));
  const ids = [one, other].map((each) => (typeof each === 'string' ? each : idOf(each as object)));
  if (ids.every((each): each is string => typeof each === 'string' && !each.includes(' '))) pairs.push(ids as [string, string]);
  return [one, other];
}

/** Fills in the side that something is for, and the other. */
function filler([here, there]: [Side, Side]): (text: string) => string {
  const words: Readonly<Record<string, string>> = {
    side: here.id,
    other: there.id,
    letter: here.letter,
    otherLetter: there.letter,
    name: here.name,
    otherName: there.name,
    Name: capital(here.name),
    OtherName: capital(there.name),
  };
  return (text) => text.replaceAll(/\{(\w+)\}/g, (whole, word: string) => own(words, word) ?? whole);
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
