import { MOTION_STATES, type FaultMode, type MotionState } from '../driveline/schema.ts';
import { eachAlone, jointFaults, presentIn, SOUND_MACHINE, type Hypothesis } from './hypotheses.ts';
import { lookMotion, VISIBLE_DEG, VISIBLE_MM } from './lookMotion.ts';
import { DEAD_DRIVER, type KinematicLook, type Look, type Pack } from './pack.ts';
import { asLaterWords, type LookOutcome } from './lookOutcome.ts';
import { tableOutcomes } from './tableOutcomes.ts';

/** Results of a look with their likelihood under every hypothesis of the pack. */
export function outcomesOf(pack: Pack, look: Look, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return look.kind === 'kinematic' ? kinematicOutcomes(pack, look, hypotheses) : tableOutcomes(look, hypotheses);
}

/**
 * Drive here, watch there: each hypothesis is put into the chain and the motion model says what the
 * watched body does. A look at both sides at once has one answer for each side; the two are read
 * apart, so their misreadings are independent. Under the machine's own power one answer more is that
 * the driver itself does not move.
 */
function kinematicOutcomes(pack: Pack, look: KinematicLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const first = sideOutcomes(pack, look, { watch: look.watch, hypotheses });
  const sides = look.beside ? bothSides(pack, look, [first, sideOutcomes(pack, look, { watch: look.beside, hypotheses })]) : first;
  if (look.power !== 'own') return sides;
  const dead = new Map(hypotheses.map((each) => [each.id, deadTold(look, each)]));
  const told = (id: string) => dead.get(id) ?? DEAD_MISTAKEN;
  return [
    ...sides.map((each) => ({ ...each, likelihood: (id: string) => each.likelihood(id) * (1 - told(id)) })),
    { result: DEAD_DRIVER, name: look.words[DEAD_DRIVER] ?? DEAD_WORDS, likelihood: told },
  ];
}

/** Chance of saying what one is used to say of a dead driver; that one that runs is called dead; that what is outside of the chain has it dead (judgements). */
const DEAD_TOLD = 0.97;
const DEAD_MISTAKEN = 0.01;
const DEAD_BY_OUTSIDE = 0.1;
const DEAD_WORDS = 'The motor itself does not run';

function deadTold(look: KinematicLook, hypothesis: Hypothesis): number {
  if (hypothesis.none === 'outside') return DEAD_BY_OUTSIDE;
  const dead = takingPower(look, hypothesis);
  if (dead.length === 0) return DEAD_MISTAKEN;
  return dead.some(({ told }) => told) ? DEAD_TOLD : 1 - DEAD_TOLD;
}

/** What of a hypothesis takes the power of what is driven. */
const takingPower = ({ drive }: KinematicLook, hypothesis: Hypothesis) =>
  presentIn(hypothesis).filter(({ dead }) => dead.includes(drive.body));

const bothSides = (pack: Pack, look: KinematicLook, [first, second]: readonly (readonly LookOutcome[])[]): LookOutcome[] =>
  (first ?? []).flatMap((one) =>
    (second ?? []).map((other) => ({
      result: `${one.result}-${other.result}`,
      name: `${bodyName(pack, look.watch)}: ${asLaterWords(one.name)}. ${bodyName(pack, look.beside as string)}: ${asLaterWords(other.name)}`,
      likelihood: (id) => one.likelihood(id) * other.likelihood(id),
    })),
  );

export interface SideOutcomesOptions {
  readonly watch: string;
  readonly hypotheses: readonly Hypothesis[];
}

/** What one watched body may do. A movement too small to see is taken for none more often, the smaller it is. */
export function sideOutcomes(pack: Pack, look: KinematicLook, { watch, hypotheses }: SideOutcomesOptions): readonly LookOutcome[] {
  const predictions = predictor(pack, look, watch);
  const predicted = new Map(hypotheses.map((each) => [each.id, predictions(each)]));
  const sound = predictions(SOUND_MACHINE);
  // Every result that any fault of the family shows, so that what was seen stays a result when a fault was found.
  const seen = new Set([sound, ...eachAlone(pack.faults).map(predictions)].map(({ state }) => state));
  const states = MOTION_STATES.filter((state) => seen.has(state) || state === 'still' || look.words[state] !== undefined);
  const chance = (shown: Predicted, state: MotionState): number => {
    const truth = { ...shown, state: [shown.state, ...TAKEN_FOR[shown.state]].find((each) => states.includes(each)) ?? 'still' };
    const missed = misreadChance(look, truth);
    const others = Math.max(1, states.length - 1);
    if (look.power === 'own' && NOT_MOVING.has(truth.state) && states.includes('locked'))
      return notMoving(truth.state, state, { missed, others });
    if (state === truth.state) return 1 - missed;
    if (truth.state !== 'turns') return missed / others;
    // What is missed of a small movement is taken for standing still, not for anything else.
    const stray = look.misread / others;
    return state === 'still' ? missed - stray * (others - 1) : stray;
  };
  return states.map((state) => ({
    result: state,
    name: look.words[state] ?? DEFAULT_WORDS[state],
    likelihood: (id) => chance(predicted.get(id) ?? sound, state),
  }));
}

/** What a movement is taken for where no fault of the list shows it, and the look has no word for it. */
const TAKEN_FOR: Readonly<Record<MotionState, readonly MotionState[]>> = {
  turns: ['less'],
  less: ['irregular', 'turns'],
  still: [],
  locked: ['still'],
  irregular: ['less', 'turns'],
};

/** Under own power one sees that nothing comes, and takes a chain that is locked for one that only stands, or the other way (judgement). */
const STANDS_FOR_LOCKED = 0.25;
const NOT_MOVING: ReadonlySet<MotionState> = new Set(['still', 'locked']);

function notMoving(truth: MotionState, state: MotionState, { missed, others }: { missed: number; others: number }): number {
  const read = 1 - missed;
  if (state === truth) return read * (1 - STANDS_FOR_LOCKED);
  return NOT_MOVING.has(state) ? read * STANDS_FOR_LOCKED + missed / others : missed / others;
}

/** Chance of reading a look wrongly: the hand's own, and what a movement too small to see adds to it. */
const misreadChance = (look: KinematicLook, { state, visible }: Predicted): number =>
  look.misread + (0.6 - look.misread) * (state === 'turns' ? missedMovement(visible) : 0);

/** Chance of misreading a kinematic look on a healthy chain, for people to see before they trust their eyes. */
export const healthyMisread = (pack: Pack, look: KinematicLook): number =>
  misreadChance(look, predictor(pack, look, look.watch)(SOUND_MACHINE));

/** Chance scale of missing a movement of so many times the visible one: 1 at none, e⁻¹·⁵ at one, nil at two. */
const missedMovement = (times: number) => Math.exp(-1.5 * times * times);

interface Predicted {
  readonly state: MotionState;
  /** The movement, as a multiple of one that can be seen. */
  readonly visible: number;
}

/** What the watched body does under a hypothesis; two that put the same into the chain are worked out once. */
function predictor(pack: Pack, look: KinematicLook, watch: string): (hypothesis: Hypothesis) => Predicted {
  const known = new Map<string, Predicted>();
  return (hypothesis) => {
    if (look.power === 'own' && takingPower(look, hypothesis).length > 0) return { state: 'still', visible: 0 };
    const faults = jointFaults(hypothesis);
    const key = faults
      .map(({ joint, mode }) => `${joint} ${mode}`)
      .sort()
      .join(',');
    const made = known.get(key) ?? predict(pack, look, { faults, watch });
    known.set(key, made);
    return made;
  };
}

interface PredictOptions {
  readonly faults: readonly { readonly joint: string; readonly mode: FaultMode }[];
  readonly watch: string;
}

function predict(pack: Pack, look: KinematicLook, { faults, watch }: PredictOptions): Predicted {
  const moved = lookMotion(pack, look, faults, watch);
  // Where what one drives will not go, that is all there is to see, however far away one looks.
  if (moved.bodies[look.drive.body]?.state === 'locked') return { state: 'locked', visible: 0 };
  const { state = 'still', turns, travelMm } = moved.bodies[watch] ?? {};
  const visible = travelMm === undefined ? Math.abs(turns ?? 0) / (VISIBLE_DEG / 360) : Math.abs(travelMm) / VISIBLE_MM;
  return { state, visible };
}

const bodyName = (pack: Pack, id: string) => pack.driveline.bodies.find((each) => each.id === id)?.name ?? id;

const DEFAULT_WORDS: Readonly<Record<MotionState, string>> = {
  turns: 'It turns',
  less: 'It turns, but too little',
  still: 'It stands still',
  locked: 'Nothing will turn',
  irregular: 'It jerks',
};
