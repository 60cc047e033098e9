import { z } from 'zod';
import { countUpTo, lengthMm, motionAmount, name, positiveUpTo } from '../quantity/bounds.ts';

const id = name;
const teeth = countUpTo(10_000);
const label = { name: z.string().max(200).optional(), material: z.string().max(200).optional() };

/** A part that moves as one: a rotor turns, a slider travels. */
export const body = z.strictObject({ id, kind: z.enum(['rotor', 'slider']).default('rotor'), ...label });

const joint = <T extends string, S extends z.ZodRawShape>(type: T, shape: S) =>
  z.strictObject({ id, type: z.literal(type), ...shape, ...label });

/** How far what is driven can go from where it stands: a toothed sector, a rack with ends. Absent: without end. */
const travelDeg = positiveUpTo(360_000).optional();
const travelMm = lengthMm.optional();

/** How two (or three) bodies are tied. Signs and ratios: see `transmission.ts`. */
export const jointSchema = z.discriminatedUnion('type', [
  joint('mesh', {
    a: id,
    b: id,
    teethA: teeth,
    teethB: teeth,
    internal: z.boolean().default(false),
    hand: z.enum(['right', 'left']).optional(),
    travelDeg,
  }),
  joint('bevel', { a: id, b: id, teethA: teeth, teethB: teeth, travelDeg }),
  joint('worm', {
    worm: id,
    wheel: id,
    starts: teeth,
    teeth,
    selfLocking: z.boolean().default(false),
    hand: z.enum(['right', 'left']).default('right'),
    travelDeg,
  }),
  joint('rack', { pinion: id, rack: id, teeth, moduleMm: positiveUpTo(100), travelMm }),
  joint('screw', { nut: id, screw: id, leadMm: positiveUpTo(10_000), travelMm }),
  joint('seat', { a: id, b: id, by: z.enum(['pressFit', 'key', 'pin', 'dFlat', 'spline', 'tab', 'bond']) }),
  joint('oneWay', { driver: id, driven: id, drives: z.union([z.literal(1), z.literal(-1)]) }),
  joint('belt', { a: id, b: id, ratio: positiveUpTo(10_000) }),
  joint('differential', { case: id, left: id, right: id }),
]);

/** A chain far longer than any machine's. */
const MOST_BODIES = 12_000;
/** Of each that makes the sum begin anew when it switches: clutches, differentials, faults, what is driven or held. */
export const MOST_CONTACTS = 64;

export const drivelineSchema = z.strictObject({
  bodies: z.array(body).min(1).max(MOST_BODIES),
  joints: z.array(jointSchema).max(MOST_BODIES),
});

export const FAULT_MODES = ['open', 'slips', 'skips', 'jammed'] as const;
export const faultMode = z.enum(FAULT_MODES);
export const MOTION_STATES = ['turns', 'less', 'still', 'locked', 'irregular'] as const;
export const motionState = z.enum(MOTION_STATES);

export const motionInput = z.strictObject({
  driveline: drivelineSchema,
  drive: z
    .array(z.strictObject({ body: id, turns: motionAmount.optional(), travelMm: motionAmount.optional() }))
    .min(1)
    .max(MOST_CONTACTS),
  held: z.array(id).max(MOST_CONTACTS).default([]),
  faults: z
    .array(z.strictObject({ joint: id, mode: faultMode }))
    .max(MOST_CONTACTS)
    .default([]),
  underLoad: z.boolean().default(false),
  visibleDeg: positiveUpTo(360_000).default(20),
  /** How far a slider must travel to be seen moving. */
  visibleMm: lengthMm.default(2),
  watch: id.optional(),
});

export const motionOutput = z.object({
  bodies: z.record(z.string(), z.object({ turns: z.number().optional(), travelMm: z.number().optional(), state: motionState })),
  ratios: z.record(z.string(), z.number()),
  inputTurnsToSee: z.number().optional(),
  /** The joint that came to the end of its travel, and how far the first driven body got until then. */
  endStop: z.object({ joint: z.string(), input: z.number() }).optional(),
});

export type Body = z.infer<typeof body>;
export type Joint = z.infer<typeof jointSchema>;
export type Driveline = z.infer<typeof drivelineSchema>;
export type FaultMode = z.infer<typeof faultMode>;
export type MotionState = z.infer<typeof motionState>;
export type MotionInput = z.infer<typeof motionInput>;
export type MotionOutput = z.infer<typeof motionOutput>;

/** Whether a body slides and does not turn. */
export const slides = ({ bodies }: Pick<Driveline, 'bodies'>, id: string): boolean =>
  bodies.find((each) => each.id === id)?.kind === 'slider';
