import { MOTION_STATES, type MotionState } from '../driveline/schema.ts';
import { LEAST_LIKELIHOOD } from '../inference/belief.ts';
import type { Outcome } from '../inference/expectedInformation.ts';
import { jointFaults, NONE_OF_THESE, type Hypothesis } from './hypotheses.ts';
import { lookMotion, VISIBLE_DEG, VISIBLE_MM } from './lookMotion.ts';
import type { KinematicLook, Look, Pack, TableLook } from './pack.ts';
import { own } from '../operation/own.ts';

export interface LookOutcome extends Outcome {
  /** What to write on the button. */
  readonly name: string;
}

/** Results of a look with their likelihood under every hypothesis of the pack. */
export function outcomesOf(pack: Pack, look: Look, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return look.kind === 'kinematic' ? kinematicOutcomes(pack, look, hypotheses) : tableOutcomes(look, hypotheses);
}

/**
 * Drive here, watch there: each hypothesis is put into the chain and the motion model says what the
 * watched body does. A look at both sides at once has one answer for each side; the two are read
 * apart, so their misreadings are independent.
 */
function kinematicOutcomes(pack: Pack, look: KinematicLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const first = sideOutcomes(pack, look, { watch: look.watch, hypotheses });
  if (!look.beside) return first;
  const second = sideOutcomes(pack, look, { watch: look.beside, hypotheses });
  return first.flatMap((one) =>
    second.map((other) => ({
      result: `${one.result}-${other.result}`,
      name: `${bodyName(pack, look.watch)}: ${lower(one.name)}. ${bodyName(pack, look.beside as string)}: ${lower(other.name)}`,
      likelihood: (id) => one.likelihood(id) * other.likelihood(id),
    })),
  );
}

export interface SideOutcomesOptions {
  readonly watch: string;
  readonly hypotheses: readonly Hypothesis[];
}

/** What one watched body may do. A movement too small to see is taken for none more often, the smaller it is. */
export function sideOutcomes(pack: Pack, look: KinematicLook, { watch, hypotheses }: SideOutcomesOptions): readonly LookOutcome[] {
  const predicted = new Map(hypotheses.map((each) => [each.id, predict(pack, look, { watch, hypothesis: each })]));
  const seen = new Set([...predicted.values()].map((each) => each?.state ?? 'turns'));
  const states = MOTION_STATES.filter((state) => seen.has(state) || state === 'still' || look.words[state] !== undefined);
  return states.map((state) => ({
    result: state,
    name: look.words[state] ?? DEFAULT_WORDS[state],
    likelihood: (id) => {
      const truth = predicted.get(id);
      if (!truth) return 1 / states.length;
      const missed = misreadChance(look, truth);
      if (state === truth.state) return 1 - missed;
      if (truth.state !== 'turns') return missed / Math.max(1, states.length - 1);
      // What is missed of a small movement is taken for standing still, not for anything else.
      const stray = look.misread / Math.max(1, states.length - 1);
      return state === 'still' ? missed - stray * (states.length - 2) : stray;
    },
  }));
}

/** Chance of reading a look wrongly: the hand's own, and what a movement too small to see adds to it. */
const misreadChance = (look: KinematicLook, { state, visible }: Predicted): number =>
  look.misread + (0.6 - look.misread) * (state === 'turns' ? missedMovement(visible) : 0);

/** Chance of misreading a kinematic look on a healthy chain, for people to see before they trust their eyes. */
export const healthyMisread = (pack: Pack, look: KinematicLook): number =>
  misreadChance(look, predict(pack, look, { watch: look.watch, hypothesis: { id: 'healthy', fault: null } }) as Predicted);

/** Chance scale of missing a movement of so many times the visible one: 1 at none, e⁻¹·⁵ at one, nil at two. */
const missedMovement = (times: number) => Math.exp(-1.5 * times * times);

interface Predicted {
  readonly state: MotionState;
  /** The movement, as a multiple of one that can be seen. */
  readonly visible: number;
}

interface PredictOptions {
  readonly watch: string;
  readonly hypothesis: Hypothesis;
}

function predict(pack: Pack, look: KinematicLook, { watch, hypothesis }: PredictOptions): Predicted | null {
  if (hypothesis.id === NONE_OF_THESE) return null;
  const moved = lookMotion(pack, look, jointFaults(hypothesis), watch);
  // Where what one drives will not go, that is all there is to see, however far away one looks.
  if (moved.bodies[look.drive.body]?.state === 'locked') return { state: 'locked', visible: 0 };
  const { state = 'still', turns, travelMm } = moved.bodies[watch] ?? {};
  const visible = travelMm === undefined ? Math.abs(turns ?? 0) / (VISIBLE_DEG / 360) : Math.abs(travelMm) / VISIBLE_MM;
  return { state, visible };
}

const bodyName = (pack: Pack, id: string) => pack.driveline.bodies.find((each) => each.id === id)?.name ?? id;
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

const DEFAULT_WORDS: Readonly<Record<MotionState, string>> = {
  turns: 'It turns',
  less: 'It turns, but too little',
  still: 'It stands still',
  locked: 'Nothing will turn',
  irregular: 'It jerks',
};

function tableOutcomes(look: TableLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const rows = new Map(hypotheses.map((each) => [each.id, rowOf(look, each)]));
  return look.results.map(({ id, name }, i) => ({
    result: id,
    name,
    likelihood: (hypothesis) => rows.get(hypothesis)?.[i] ?? 1 / look.results.length,
  }));
}

/**
 * Chances of the results under one hypothesis; null under "none of these", which foretells nothing.
 * Two faults at once: each moves the chances away from a sound machine's by its own factors, and the
 * factors multiply.
 */
function rowOf(look: TableLook, { id, fault, besides = [] }: Hypothesis): readonly number[] | null {
  if (id === NONE_OF_THESE) return null;
  const named = [...besides, ...(fault ? [fault] : [])].flatMap((each) => {
    const row = own(look.likelihoods, each.id);
    return row ? [row] : [];
  });
  if (named.length <= 1) return named[0] ?? look.otherwise;
  const product = look.otherwise.map((sound, i) =>
    named.reduce((chance, row) => (chance * (row[i] ?? 0)) / Math.max(sound, LEAST_LIKELIHOOD), sound),
  );
  const total = product.reduce((sum, chance) => sum + chance, 0);
  return product.map((chance) => chance / total);
}
