import { z } from 'zod';

const id = z.string().min(1);
const teeth = z.int().positive();
const label = { name: z.string().optional(), material: z.string().optional() };

/** A part that moves as one: a rotor turns, a slider travels. */
export const body = z.strictObject({ id, kind: z.enum(['rotor', 'slider']).default('rotor'), ...label });

const joint = <T extends string, S extends z.ZodRawShape>(type: T, shape: S) =>
  z.strictObject({ id, type: z.literal(type), ...shape, ...label });

/** How far what is driven can go from where it stands: a toothed sector, a rack with ends. Absent: without end. */
const travelDeg = z.number().positive().optional();
const travelMm = z.number().positive().optional();

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
  joint('rack', { pinion: id, rack: id, teeth, moduleMm: z.number().positive(), travelMm }),
  joint('screw', { nut: id, screw: id, leadMm: z.number().positive(), travelMm }),
  joint('seat', { a: id, b: id, by: z.enum(['pressFit', 'key', 'pin', 'dFlat', 'spline', 'tab', 'bond']) }),
  joint('oneWay', { driver: id, driven: id, drives: z.union([z.literal(1), z.literal(-1)]) }),
  joint('belt', { a: id, b: id, ratio: z.number().positive() }),
  joint('differential', { case: id, left: id, right: id }),
]);

export const drivelineSchema = z.strictObject({
  bodies: z.array(body).min(1),
  joints: z.array(jointSchema),
});

export const FAULT_MODES = ['open', 'slips', 'skips', 'jammed'] as const;
export const faultMode = z.enum(FAULT_MODES);
export const MOTION_STATES = ['turns', 'less', 'still', 'locked', 'irregular'] as const;
export const motionState = z.enum(MOTION_STATES);

export const motionInput = z.strictObject({
  driveline: drivelineSchema,
  drive: z.array(z.strictObject({ body: id, turns: z.number().optional(), travelMm: z.number().optional() })).min(1),
  held: z.array(id).default([]),
  faults: z.array(z.strictObject({ joint: id, mode: faultMode })).default([]),
  underLoad: z.boolean().default(false),
  visibleDeg: z.number().positive().default(20),
  /** How far a slider must travel to be seen moving. */
  visibleMm: z.number().positive().default(2),
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
