import { motion } from '../driveline/motion.ts';
import { MOTION_STATES, type MotionState } from '../driveline/schema.ts';
import type { Outcome } from '../inference/expectedInformation.ts';
import type { Hypothesis } from './hypotheses.ts';
import type { KinematicLook, Look, Pack, TableLook } from './pack.ts';

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
 * watched body does. A movement too small to see is taken for none more often, the smaller it is.
 */
function kinematicOutcomes(pack: Pack, look: KinematicLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const predicted = new Map(hypotheses.map((each) => [each.id, predict(pack, look, each)]));
  const seen = new Set([...predicted.values()].map((each) => each?.state ?? 'turns'));
  const states = MOTION_STATES.filter((state) => seen.has(state) || state === 'still' || look.words[state] !== undefined);
  return states.map((state) => ({
    result: state,
    name: look.words[state] ?? DEFAULT_WORDS[state],
    likelihood: (id) => {
      const truth = predicted.get(id);
      if (!truth) return 1 / states.length;
      const missed = look.misread + (0.6 - look.misread) * (truth.state === 'turns' ? missedMovement(truth.visible) : 0);
      if (state === truth.state) return 1 - missed;
      if (truth.state !== 'turns') return missed / Math.max(1, states.length - 1);
      // What is missed of a small movement is taken for standing still, not for anything else.
      const stray = look.misread / Math.max(1, states.length - 1);
      return state === 'still' ? missed - stray * (states.length - 2) : stray;
    },
  }));
}

/** Chance scale of missing a movement of so many times the visible one: 1 at none, e⁻¹·⁵ at one, nil at two. */
const missedMovement = (times: number) => Math.exp(-1.5 * times * times);

function predict(pack: Pack, look: KinematicLook, { fault, mode }: Hypothesis): { state: MotionState; visible: number } | null {
  if (!fault) return null;
  const moved = motion({
    driveline: pack.driveline,
    drive: [look.drive],
    held: look.held,
    faults: mode ? [{ joint: fault.at, mode }] : [],
    underLoad: look.underLoad,
    visibleDeg: 20,
    visibleMm: 2,
    watch: look.watch,
  });
  const state = moved.bodies[look.watch]?.state ?? 'still';
  const needed = moved.inputTurnsToSee;
  return { state, visible: needed === undefined ? 0 : Math.abs(look.drive.turns) / needed };
}

const DEFAULT_WORDS: Readonly<Record<MotionState, string>> = {
  turns: 'It turns',
  less: 'It turns, but too little',
  still: 'It stands still',
  locked: 'Nothing will turn',
  irregular: 'It jerks',
};

function tableOutcomes(look: TableLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const rows = new Map(hypotheses.map(({ id, fault }) => [id, fault ? (look.likelihoods[fault.id] ?? look.otherwise) : null]));
  return look.results.map(({ id, name }, i) => ({
    result: id,
    name,
    likelihood: (hypothesis) => rows.get(hypothesis)?.[i] ?? 1 / look.results.length,
  }));
}
