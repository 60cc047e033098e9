import { z } from 'zod';
import { id, motionAmount, name, positiveUpTo, sentence } from '../quantity/bounds.ts';
import { MATERIAL_IDS } from '../material/materials.ts';
import { BORE_SHAPES } from '../match/schema.ts';
import { faultMode, MOTION_STATES } from '../driveline/schema.ts';
import { atWork } from '../access/step.ts';
import { lifeNew, remedySchema } from '../work/remedy.ts';

const text = sentence;
const chance = z.number().min(0).max(1);
const minutes = z.number().min(0).max(600);

export const caution = z.strictObject({
  id,
  text,
  /** `hurt`: someone can be hurt, so it must be acknowledged on purpose. */
  level: z.enum(['hurt', 'harm', 'law']),
  /** States it forbids: what is done under "supply off" cannot need the supply. */
  without: z.array(id).max(10).default([]),
});

/**
 * Something that holds on the machine as it comes in, that a look may need, and that steps take away and
 * give back: the bar is on, it stands on its wheels, the supply is connected.
 */
export const state = z.strictObject({
  id,
  name: text,
  /** Bodies that move by their own power only while it holds: the motor while the supply is connected. */
  powers: z.array(id).max(10).default([]),
});

/** When a fact about the machine makes a fault more or less likely, and why. */
export const shift = z.strictObject({
  fact: name,
  is: z.union([z.boolean(), z.string().max(200)]).optional(),
  atLeast: z.number().min(-1e9).max(1e9).optional(),
  factor: positiveUpTo(1000),
  why: text,
});

export const remedy = z.strictObject({
  kind: z.enum(['clean', 'refill', 'adjust', 'reseal', 'free', 'replace']),
  text,
  minutes,
  /** The gear card whose part has to be found; absent where nothing needs to be bought. */
  part: id.optional(),
});

export const fault = z.strictObject({
  id,
  name: text,
  /** The joint, body or outlying station it sits at. */
  at: id,
  /** How often it is this one, against the others of the family. */
  prior: positiveUpTo(1e6),
  /** Where the prior comes from; a judgement is called one. */
  basis: z.enum(['judgement', 'shopCount', 'makersSheet']).default('judgement'),
  /** Ways in which it shows in the motion; a share without a mode leaves the chain sound. */
  modes: z
    .array(
      z.strictObject({
        mode: faultMode.optional(),
        share: chance.gt(0),
        /** Bodies whose own power is gone: a dead motor, a belt that is off. By hand or drill they still move. */
        dead: z.array(id).max(10).default([]),
      }),
    )
    .max(10)
    .default([]),
  shifts: z.array(shift).max(30).default([]),
  /** The one remedy of a file from before there were several; read as one of `remedies` where there are none. */
  remedy: remedy.optional(),
  /** How people really go on from this fault, each way for itself, the usual one first. */
  remedies: z.array(remedySchema).max(20).default([]),
  tell: text,
});

/** The devices a look can be read with. Typing what one sees is always possible. */
export const INSTRUMENT_KINDS = ['drillBench', 'faultCodeReader', 'caliper', 'dialIndicator', 'roadSpeedReference', 'camera'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

const lookBase = {
  id,
  name: text,
  how: text,
  minutes: minutes.gt(0),
  /** Steps that must be done first. */
  needs: z.array(id).max(30).default([]),
  /** States that must still hold: the paper test with the bar on. */
  while: z.array(id).max(10).default([]),
  tools: z.array(text).max(30).default([]),
  helper: z.boolean().default(false),
  cautions: z.array(id).max(30).default([]),
  ...atWork,
  /** States that the look itself ends: fresh oil in the tank, chips wiped off; what needed them is gone. */
  takes: z.array(id).max(10).default([]),
  /** Where on the drive line one looks. */
  at: id,
};

/**
 * What resists while something is turned: nothing, a hand or wedge as a brake, a part held fast, the ground under the wheels,
 * a pull against a weight. A key that slips and teeth that skip do so against one of these only.
 */
export const LOADS = ['none', 'brake', 'hold', 'ground', 'pull'] as const;

export const POWERS = ['hand', 'drill', 'own'] as const;

/** The result of a look under own power when the driver itself does not move. */
export const DEAD_DRIVER = 'dead';

/** A look whose outcome the motion model works out for every fault: drive here, watch there. */
export const kinematicLook = z.strictObject({
  ...lookBase,
  kind: z.literal('kinematic'),
  /** Turns of a rotor, or millimetres of a slider. */
  drive: z.strictObject({ body: id, turns: motionAmount.optional(), travelMm: motionAmount.optional() }),
  /** By whose power: a hand, a drill, or the machine's own motor or engine, which may be dead. */
  power: z.enum(POWERS).default('hand'),
  watch: id,
  /** The other side, watched at the same time: the answer is then one for each side. */
  beside: id.optional(),
  held: z.array(id).max(30).default([]),
  /** Joints that are taken apart for this look: the worm drawn out, the belt lifted off. */
  apart: z.array(id).max(30).default([]),
  /** The drill bench can drive this and count for you. */
  instrument: z.literal('drillBench').optional(),
  load: z.enum(LOADS).optional(),
  /** Of packs from before `load`: a brake where it is true. */
  underLoad: z.boolean().default(false),
  /** Chance of misreading a movement that is large enough to see. */
  misread: chance.default(0.04),
  words: z.partialRecord(z.enum([...MOTION_STATES, DEAD_DRIVER]), text).default({}),
  /** How often a fault that lies outside the motion shows here all the same: dry runners make both sides jerk. */
  shows: z.record(id, z.partialRecord(z.enum(MOTION_STATES), chance)).default({}),
});

/** A look that is a figure: the results lie between the limits, from the smallest value to the largest. */
export const figure = z.strictObject({
  instrument: z.enum(INSTRUMENT_KINDS).optional(),
  quantity: text,
  unit: z.enum(['mm', 'deg', 'turns', 'percent', 'codes', 'teeth', 'N·m', 'min']),
  /** One fewer than there are results. */
  limits: z.array(motionAmount).min(1).max(10),
});

/** A look whose likelihoods are a judgement, fault by fault; `otherwise` for every fault not named. */
export const tableLook = z.strictObject({
  ...lookBase,
  kind: z.literal('table'),
  /**
   * `settles`: it is this fault itself that is seen, in the hand or under the lamp, and nothing else looks like it.
   * `condition`: what it is called (ISO 10825-1 of gears, ISO 15243 of rolling bearings, else the shop's word).
   */
  results: z
    .array(z.strictObject({ id, name: text, settles: id.optional(), condition: text.optional() }))
    .min(2)
    .max(10),
  figure: figure.optional(),
  /** Seen with one's own eyes in the open: what is not on the list cannot make one see it. */
  seen: z.boolean().default(false),
  /** A remedy that is tried as a look: fill it, lubricate it, tighten it, clear the code, and see; what it uses. */
  tries: z.strictObject({ uses: z.array(text).max(10).default([]) }).optional(),
  /** Chances when it is something that is not on the list; between a sound machine's and even ones where it is not said. */
  noneOfThese: z.array(chance).max(10).optional(),
  likelihoods: z.record(id, z.array(chance).max(10)),
  otherwise: z.array(chance).max(10),
  /** Chances on a machine without any fault, where they are others than with a fault that the look does not tell of. */
  sound: z.array(chance).max(10).optional(),
});

export const look = z.discriminatedUnion('kind', [kinematicLook, tableLook]);

/** Something outside the gear chain that belongs to the picture: a tank, a hose, a supply. */
export const auxiliary = z.strictObject({ id, name: text, beside: id });

export const GEAR_TYPES = ['worm', 'wormWheel', 'spur', 'helical', 'bevel', 'rack', 'sector', 'screw', 'other'] as const;

export const gearCard = z.strictObject({
  id,
  name: text,
  body: id,
  type: z.enum(GEAR_TYPES),
  /** The bore every gear of this family has at this place; a part with another is refused. */
  boreShape: z.enum(BORE_SHAPES).optional(),
  /** How long a new one lasts here. */
  lifeNew: lifeNew.optional(),
});

/** What is set, each at a desk of its own. */
export const SETTINGS = [
  'shims',
  'standOff',
  'eccentric',
  'backlash',
  'rimPlay',
  'timing',
  'oneWay',
  'seal',
  'lock',
  'torque',
  'fill',
  'afterwards',
] as const;
export type Setting = (typeof SETTINGS)[number];

/** One thing that the machine wants set before it is proved; a family lists its own in their right order. */
export const settingWanted = z.strictObject({
  id,
  desk: z.enum(SETTINGS),
  name: text,
  how: text,
  /** Body, joint or auxiliary of the drive line that it is about. */
  at: id,
  /** What it may be, and whose figure that is: a guide wherever it is not the maker's. */
  wanted: z
    .strictObject({ min: motionAmount.optional(), max: motionAmount.optional(), unit: z.enum(['mm', 'deg', 'N·m']), source: text })
    .optional(),
  /** Of a fill: what runs on what. */
  materials: z.tuple([z.enum(MATERIAL_IDS), z.enum(MATERIAL_IDS)]).optional(),
  /** What setting it takes, where it is not done with a piece of the way back. */
  minutes: minutes.optional(),
  /** Of what is done after the mechanics: the state of the machine in which it works; in another it behaves otherwise. */
  state: text.optional(),
});
export type SettingTarget = z.infer<typeof settingWanted>;

/** By hand, powered with the load off, in use, and after days or months. */
export const PROOF_PHASES = ['hand', 'unloaded', 'inUse', 'later'] as const;
export type ProofPhase = (typeof PROOF_PHASES)[number];

/** How one knows that it is right again. */
export const proof = z.strictObject({
  id,
  name: text,
  how: text,
  minutes,
  cautions: z.array(id).max(30).default([]),
  phase: z.enum(PROOF_PHASES).default('inUse'),
  /** The figure that is read, what it may be, and whose limit that is; passed or not follows from it. */
  figure: z
    .strictObject({ ask: text, unit: z.string().min(1).max(20), min: motionAmount.optional(), max: motionAmount.optional(), source: text })
    .optional(),
  /** Of a later one: so many days after the work it is looked at, each time anew. */
  afterDays: z.array(z.int().min(1).max(3650)).max(6).default([]),
  /** The look that it repeats, and the result that failing means where it can mean but one: evidence for the tracing. */
  failing: z.strictObject({ look: id, result: id.optional() }).optional(),
  /** Proved by points at a desk of its own. */
  desk: z.enum(['speedometer', 'turns']).optional(),
});
export type Proof = z.infer<typeof proof>;

/** What to ask when the machine is taken in; the answer is a fact that moves the priors. */
export const question = z.strictObject({
  fact: name,
  ask: text,
  kind: z.enum(['yesNo', 'number', 'choice']),
  choices: z
    .array(z.strictObject({ is: text, name: text }))
    .max(20)
    .default([]),
});

/** What owners say when they mean the same thing, and whom it points at. */
export const complaint = z.strictObject({
  id,
  says: z.array(text).min(1).max(20),
  /** What else people say for it; found by, never shown. */
  phrases: z.array(text).max(60).default([]),
  points: z
    .array(z.strictObject({ fault: id, factor: positiveUpTo(1000) }))
    .max(60)
    .default([]),
  /** Looks before the eyes that go before anything is opened or jacked up: the leak, the noise, the smell. */
  first: z.array(id).max(5).default([]),
  /** The look in which it shows itself, where there is one: seen before a cure and gone after, the cure was right. */
  shownBy: id.optional(),
});

/** What turns up at a service without any complaint: a result of a look, with which tracing begins. */
export const serviceFind = z.strictObject({ look: id, result: z.string().min(1).max(200) });

/** Two faults that bring each other about, or cannot be together. */
export const together = z.strictObject({
  faults: z.tuple([id, id]),
  /** Chance that the second is there where the first is; 0: never both. */
  share: chance,
  why: text,
});

/** A lane beside the main line: the second axle, the other rack, the return to the dial. */
export const branch = z.strictObject({ from: id, order: z.array(id).min(1).max(120), name: text.optional() });

export type Fault = z.infer<typeof fault>;
export type Look = z.infer<typeof look>;
export type KinematicLook = z.infer<typeof kinematicLook>;
export type TableLook = z.infer<typeof tableLook>;
export type Complaint = z.infer<typeof complaint>;
export type Caution = z.infer<typeof caution>;
export type GearCard = z.infer<typeof gearCard>;
