import { z } from 'zod';
import { radians } from '../quantity/angle.ts';
import { seeded } from '../quantity/seeded.ts';
import { faultMode, slides, type MotionOutput } from '../driveline/schema.ts';
import { jointFaults, waysAlone, type Hypothesis } from '../trace/hypotheses.ts';
import { lookMotion, soundMovement } from '../trace/lookMotion.ts';
import type { InstrumentKind, KinematicLook, Look, Pack, TableLook } from '../trace/pack.ts';
import { packModel } from '../trace/packModel.ts';
import type { Picture } from '../scan/picture.ts';
import { gearPhoto } from '../scan/gearPhoto.ts';
import type { InstrumentReading } from './reading.ts';

/** What a made-up machine really has, known to nobody but the stand-ins for the instruments. */
export const hiddenTruth = z.strictObject({
  fault: z.string(),
  mode: faultMode.optional(),
  /** True dimensions of its gears, by gear and quantity, in mm. */
  gears: z.record(z.string(), z.record(z.string(), z.number())).optional(),
  /** For the camera: teeth of the gear in front of it, and which of them are gone. */
  photo: z.strictObject({ teeth: z.int().min(5).max(200), missing: z.array(z.int().min(0)).default([]) }).optional(),
});
export type HiddenTruth = z.infer<typeof hiddenTruth>;

export interface StandInQuestion {
  readonly pack: Pack;
  readonly truth: HiddenTruth;
  readonly kind: InstrumentKind;
  /** The display was set to nought before the reading. */
  readonly zeroed: boolean;
  /** What is so of this machine and look, however often it is read. */
  readonly machine: () => number;
  /** What differs from one reading to the next. */
  readonly moment: () => number;
}

interface Manners {
  /** One standard deviation, in the instrument's own unit, or as a share of the value. */
  readonly noise: number;
  readonly noiseShare?: number;
  /** How far the display can stand from nought before it is set. */
  readonly offset: number;
  /** How often it gives no answer: a plug that is not home, a battery that is low. */
  readonly lost: number;
}

/** What the camera shows where the made-up machine says nothing of its gear. */
const SOUND_GEAR = { teeth: 20, missing: [] };

/** How the devices behave (judgement, after the data sheets of such things). */
const MANNERS: Readonly<Record<InstrumentKind, Manners>> = {
  drillBench: { noise: 0.004, offset: 0.35, lost: 0.1 },
  faultCodeReader: { noise: 0, offset: 0, lost: 0.15 },
  caliper: { noise: 0.015, offset: 0.08, lost: 0.03 },
  dialIndicator: { noise: 0.004, noiseShare: 0.02, offset: 0.06, lost: 0.05 },
  roadSpeedReference: { noise: 0.15, offset: 0, lost: 0.12 },
  camera: { noise: 0, offset: 0, lost: 0.05 },
};

/** What the instrument shows for a look at this machine; null where the connection is lost. */
export function standInLook(question: StandInQuestion, look: Look): InstrumentReading | null {
  if (question.moment() < MANNERS[question.kind].lost) return null;
  return look.kind === 'kinematic' ? countTurns(question, look) : readFigure(question, look);
}

/** What the caliper shows for a dimension of this machine's gear; null where the connection is lost. */
export function standInDimension(question: StandInQuestion, trueMm: number): InstrumentReading | null {
  if (question.moment() < MANNERS[question.kind].lost) return null;
  return shown(question, trueMm, 'mm');
}

/** What the reference shows while the needle is held at a speed and reads off by so much; null where the connection is lost. */
export function standInSpeed(
  question: StandInQuestion,
  { shown: needle, errorPercent }: { shown: number; errorPercent: number },
): InstrumentReading | null {
  if (question.moment() < MANNERS[question.kind].lost) return null;
  return shown(question, needle / (1 + errorPercent / 100), 'km/h');
}

/** What the dial indicator shows of a mesh that is rocked, with its sleeve at an angle where it has one; null where the connection is lost. */
export function standInPlay(question: StandInQuestion, sleeveDeg: number | undefined): InstrumentReading | null {
  if (question.moment() < MANNERS[question.kind].lost) return null;
  const [mean, tightestAt] = [0.2 + 0.15 * question.machine(), 360 * question.machine()];
  const swing = sleeveDeg === undefined ? 0 : 0.6 * mean * Math.cos(radians(sleeveDeg - tightestAt));
  return shown(question, mean - swing, 'mm');
}

/** What the camera shows of this machine's gear; null where the connection is lost. */
export function standInPhoto(question: StandInQuestion): Picture | null {
  if (question.moment() < MANNERS[question.kind].lost) return null;
  const random = seeded(Math.floor(question.machine() * 2 ** 32));
  const gear = question.truth.photo ?? SOUND_GEAR;
  return gearPhoto({
    ...gear,
    random,
    width: 720,
    tiltDeg: 6 * random(),
    tiltTowardsDeg: 360 * random(),
    turnedDeg: 6 * random(),
    blots: 1,
    specks: 12,
  });
}

/** The drill bench drives one end, stops where it will not turn, and counts what comes out. */
function countTurns(question: StandInQuestion, look: KinematicLook): InstrumentReading {
  const { pack, machine } = question;
  const moved = lookMotion(pack, look, jointFaults(hypothesisOf(question)));
  const wanted = look.drive.turns ?? look.drive.travelMm ?? 0;
  const stalled = moved.bodies[look.drive.body]?.state === 'locked';
  const slow = 0.25 + 0.4 * machine();
  const of = (body: string) => (stalled ? 0 : movementOf(moved.bodies[body], soundMovement(pack, look, body), slow));
  return {
    ...shown(question, of(look.watch), slides(pack.driveline, look.watch) ? 'mm' : 'turns'),
    ...(look.beside === undefined ? {} : { beside: round(of(look.beside)) }),
    putIn: stalled ? 0 : wanted,
  };
}

function movementOf(body: MotionOutput['bodies'][string] | undefined, sound: number, slow: number): number {
  switch (body?.state) {
    case 'turns':
      return body.travelMm ?? body.turns ?? 0;
    case 'less':
    case 'irregular':
      return sound * slow;
    default:
      return 0;
  }
}

/** The result is drawn by its chances under the truth, the figure from that result's span; the same each time it is read. */
function readFigure(question: StandInQuestion, look: TableLook): InstrumentReading {
  const { pack, machine } = question;
  const { limits = [], unit = 'mm' } = look.figure ?? {};
  const hypothesis = hypothesisOf(question).id;
  const chances = (packModel(pack).outcomes.get(look.id) ?? []).map(({ likelihood }) => likelihood(hypothesis));
  let left = machine();
  const drawn = chances.findIndex((chance) => (left -= chance) < 0);
  const result = drawn < 0 ? chances.length - 1 : drawn;
  const from = limits[result - 1] ?? 0;
  const to = limits[result] ?? (limits.at(-1) ?? 1) * 2.2;
  // Well inside the span: a figure right on a limit would be a look that tells nothing.
  const value = from + (to - from) * (0.2 + 0.6 * machine());
  return unit === 'codes' || unit === 'teeth'
    ? { instrument: question.kind, value: result === 0 ? 0 : Math.ceil(value), unit }
    : shown(question, value, unit);
}

function shown({ kind, zeroed, machine, moment }: StandInQuestion, value: number, unit: InstrumentReading['unit']): InstrumentReading {
  const { noise, noiseShare = 0, offset } = MANNERS[kind];
  const plusMinus = Math.max(noise, noiseShare * Math.abs(value));
  const atRest = zeroed ? 0 : round(offset * (2 * machine() - 1));
  return { instrument: kind, value: round(value + atRest + plusMinus * bell(moment)), unit, plusMinus, ...(offset > 0 && { atRest }) };
}

function hypothesisOf({ pack, truth }: StandInQuestion): Hypothesis {
  const ways = waysAlone(packModel(pack).hypotheses, truth.fault);
  return ways.find(({ faults }) => faults[0]?.mode === truth.mode) ?? (ways[0] as Hypothesis);
}

/** Near enough a normal error with standard deviation 1: twelve even chances, less their mean. */
const bell = (random: () => number) => Array.from({ length: 12 }, random).reduce((sum, each) => sum + each, -6);
const round = (value: number) => Math.round(value * 1000) / 1000;
