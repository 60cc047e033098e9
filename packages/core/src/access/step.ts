import { z } from 'zod';
import { TORQUE_UNITS } from '../quantity/torqueUnits.ts';
import { id, lengthMm, positiveUpTo, sentence } from '../quantity/bounds.ts';

const text = sentence;
const minutes = z.number().min(0).max(600);

/** Whose figure a torque is goes with it; without one it says how it is tightened. */
export const torque = z.strictObject({ value: positiveUpTo(100_000), unit: z.enum(TORQUE_UNITS), source: text });
export type Torque = z.infer<typeof torque>;

export const LOOSE_KINDS = ['screw', 'nut', 'clip', 'pin', 'washer', 'shim', 'spring', 'key', 'seal', 'plug', 'cable', 'part'] as const;

/** Something that comes off with a step and has to go back. */
export const looseItem = z.strictObject({
  id,
  name: text,
  kind: z.enum(LOOSE_KINDS),
  count: z.int().min(1).max(99),
  size: text.optional(),
  lengthMm: lengthMm.optional(),
  drive: z.enum(['hex', 'socket', 'six-lobe', 'cross-head', 'slotted']).optional(),
  /** Only where it is the unusual one. */
  hand: z.literal('left').optional(),
  torque: torque.optional(),
  /** Goes into plastic: snug and no further. */
  intoPlastic: z.boolean().default(false),
  /** Is renewed each time: a seal, a locking clip, a split pin. */
  renew: z.boolean().default(false),
  /** Where it sits, so that it goes back there. */
  lives: text,
});

export const CAPTURE_KINDS = ['photo', 'mark', 'angle', 'count', 'measure'] as const;

/** A position that a step loses: taken down before, shown again on the way back. */
export const capture = z.strictObject({ id, kind: z.enum(CAPTURE_KINDS), ask: text, back: text, unit: text.optional() });

/** A time that has to pass. The maker's own figure is typed in where `minutes` is absent. */
export const wait = z.strictObject({ id, name: text, minutes: minutes.gt(0).optional(), why: text });

/** Clear of all that moves; beside it, on a housing or with a wedge; in it. */
export const HANDS_AT = ['off', 'near', 'in'] as const;
/** On its wheels or feet; on axle stands; on props under what hangs; the part or machine on the bench. */
export const STANDS_ON = ['ground', 'stands', 'props', 'bench'] as const;
/** Nothing; by hand, a crank or a hand drill, which stop when the hand lets go; under power. */
export const MOVED_BY = ['none', 'byHand', 'powered'] as const;

/** Where hands are, what it stands on and what sets it in motion while something is looked at or done. Not said reads as the worst. */
export const atWork = {
  handsAt: z.enum(HANDS_AT).optional(),
  stands: z.enum(STANDS_ON).optional(),
  moves: z.enum(MOVED_BY).optional(),
};

/** One piece of taking the machine apart, with what must be done before it. */
export const step = z.strictObject({
  id,
  name: text,
  how: text,
  minutes,
  /** What it takes where things are stuck; one and a half times the minutes where it is not said. */
  atWorst: minutes.optional(),
  /** Two people. */
  helper: z.boolean().default(false),
  needs: z.array(id).max(30).default([]),
  /** Ways that lead here: all steps of one of them, besides `needs`. */
  ways: z.array(z.array(id).min(1).max(30)).max(10).default([]),
  /** States of the machine that it ends, until it is undone or another step gives them back. */
  takes: z.array(id).max(10).default([]),
  /** States that it brings back: the unit is wired to a supply on the bench. */
  gives: z.array(id).max(10).default([]),
  /** Bodies, joints and auxiliaries that come within reach. */
  frees: z.array(id).max(60).default([]),
  tools: z.array(text).max(30).default([]),
  cautions: z.array(id).max(30).default([]),
  ...atWork,
  loose: z.array(looseItem).max(60).default([]),
  captures: z.array(capture).max(30).default([]),
  /** Must pass after the step before the next may begin. */
  wait: wait.optional(),
});

export const TIGHTEN_PATTERNS = ['circle', 'rectangle'] as const;
export const tighten = z.strictObject({
  screws: z.int().min(3).max(40),
  pattern: z.enum(TIGHTEN_PATTERNS),
  /** Columns of a rectangle; two where it is not said. */
  columns: z.int().min(2).max(10).default(2),
  passes: z.int().min(1).max(4).default(2),
});

export const CLOSING_KINDS = ['putBack', 'cleanOut', 'renew', 'grease', 'set', 'fill', 'check'] as const;

/** One piece of the way back. Without `closes` it is work that exists only there. */
export const closingStep = z.strictObject({
  id,
  name: text,
  how: text,
  minutes,
  kind: z.enum(CLOSING_KINDS).default('putBack'),
  helper: z.boolean().default(false),
  cautions: z.array(id).max(30).default([]),
  /** The opening steps it undoes. */
  closes: z.array(id).max(30).default([]),
  /** Opening steps that make it necessary, for work that undoes none; empty: always. */
  after: z.array(id).max(60).default([]),
  tighten: tighten.optional(),
  wait: wait.optional(),
  /** The setting that is done with this piece. */
  setting: id.optional(),
});

/** Worth doing since it lies open: the other side, the seal, the spring that is known to break. */
export const whileOpen = z.strictObject({ id, name: text, at: id, minutes, why: text });

export type Step = z.infer<typeof step>;
export type LooseItem = z.infer<typeof looseItem>;
export type LooseKind = (typeof LOOSE_KINDS)[number];
export type Capture = z.infer<typeof capture>;
export type Wait = z.infer<typeof wait>;
export type ClosingStep = z.infer<typeof closingStep>;
/** A piece of the way back: the family's own, or a step done backwards, which has no words but the step's. */
export const putBack = closingStep.extend({ how: z.string(), asItCameOff: z.literal(true).optional() });
export type PutBack = z.infer<typeof putBack>;
export type WhileOpen = z.infer<typeof whileOpen>;
export type Tighten = z.infer<typeof tighten>;

/** The steps of these ids, in the order of the ids. */
export const stepsNamed = (steps: readonly Step[], ids: readonly string[]): readonly Step[] =>
  ids.flatMap((id) => steps.filter((each) => each.id === id));

/** The longest a step should take, stuck screws and all, in minutes. */
export const longest = ({ minutes: usual, atWorst }: Pick<Step, 'minutes' | 'atWorst'>): number => atWorst ?? 1.5 * usual;
