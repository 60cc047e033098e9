import { own } from '../operation/own.ts';
import { MOTION_STATES, type MotionState } from '../driveline/schema.ts';
import { eachAlone, jointFaults, presentIn, SOUND_MACHINE, type Hypothesis } from './hypotheses.ts';
import { bodiesInLook, VISIBLE_DEG, VISIBLE_MM } from './lookMotion.ts';
import { DEAD_DRIVER, type KinematicLook, type Look, type Pack } from './pack.ts';
import { type LookOutcome } from './lookOutcome.ts';
import { tableOutcomes } from './tableOutcomes.ts';

/** Results of a look with their likelihood under every hypothesis of the pack. */
export function outcomesOf(pack: Pack, look: Look, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  return look.kind === 'kinematic' ? kinematicOutcomes(pack, look, hypotheses) : tableOutcomes(look, hypotheses);
}

/**
 * Drive here, watch there: each hypothesis is put into the chain and the motion model says what the
 * watched body does. A look at both sides at once has one answer for each side, misread apart or, for
 * one cause, both. Under the machine's own power one answer more is that
 * the driver itself does not move.
 */
function kinematicOutcomes(pack: Pack, look: KinematicLook, hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const bodies = bodiesInLook(pack, look);
  const first = outcomesAt(pack, look, { watch: look.watch, hypotheses, bodies });
  const moved = look.beside ? bothSides(look, [first, outcomesAt(pack, look, { watch: look.beside, hypotheses, bodies })]) : first;
  const sides = withShown(look, moved, hypotheses);
  if (look.power !== 'own') return sides;
  const dead = new Map(hypotheses.map((each) => [each.id, deadTold(look, each)]));
  const told = (id: string) => dead.get(id) ?? DEAD_MISTAKEN;
  return [
    ...sides.map((each) => ({ ...each, likelihood: (id: string) => each.likelihood(id) * (1 - told(id)) })),
    { result: DEAD_DRIVER, likelihood: told },
  ];
}

/** Chance of saying what one is used to say of a dead driver; that one that runs is called dead; that what is outside of the chain has it dead (judgements). */
const DEAD_TOLD = 0.97;
const DEAD_MISTAKEN = 0.01;
const DEAD_BY_OUTSIDE = 0.1;

function deadTold(look: KinematicLook, hypothesis: Hypothesis): number {
  if (hypothesis.none === 'outside') return DEAD_BY_OUTSIDE;
  const dead = takingPower(look, hypothesis);
  if (dead.length === 0) return DEAD_MISTAKEN;
  return dead.some(({ told }) => told) ? DEAD_TOLD : 1 - DEAD_TOLD;
}

/** What of a hypothesis takes the power of what is driven. */
const takingPower = ({ drive }: KinematicLook, hypothesis: Hypothesis) =>
  presentIn(hypothesis).filter(({ dead }) => dead.includes(drive.body));

/** What faults outside the motion show all the same, on both sides alike; where a fault moves something wrongly, that is what is seen. */
function withShown(look: KinematicLook, outcomes: readonly LookOutcome[], hypotheses: readonly Hypothesis[]): readonly LookOutcome[] {
  const shown = new Map(
    hypotheses.flatMap((hypothesis) => {
      const rows = jointFaults(hypothesis).length > 0 ? [] : presentIn(hypothesis).flatMap(({ fault }) => own(look.shows, fault.id) ?? []);
      return rows[0] ? [[hypothesis.id, rows[0]] as const] : [];
    }),
  );
  if (shown.size === 0) return outcomes;
  return outcomes.map((outcome) => {
    const [one, other = one] = outcome.result.split('-') as [MotionState, MotionState?];
    return {
      ...outcome,
      likelihood: (id) => {
        const row = shown.get(id);
        if (!row) return outcome.likelihood(id);
        const rest = 1 - Object.values(row).reduce((sum, chance) => sum + chance, 0);
        return (one === other ? (row[one] ?? 0) : 0) + rest * outcome.likelihood(id);
      },
    };
  });
}

/** Both sides are misread for one cause, no load or the wrong gear, as often as one of them for its own: they then show the same. */
const bothSides = (look: KinematicLook, [first = [], second = []]: readonly (readonly LookOutcome[])[]): LookOutcome[] => {
  const same = first.filter(({ result }) => second.some((other) => other.result === result)).length;
  const commonOf = (one: LookOutcome, other: LookOutcome) => (one.result === other.result ? look.misread / same : 0);
  return first.flatMap((one) =>
    second.map((other) => ({
      result: `${one.result}-${other.result}`,
      likelihood: (id) => (1 - look.misread) * one.likelihood(id) * other.likelihood(id) + commonOf(one, other),
    })),
  );
};

export interface SideOutcomesOptions {
  readonly watch: string;
  readonly hypotheses: readonly Hypothesis[];
}

/** What one watched body may do. A movement too small to see is taken for none more often, the smaller it is. */
export const sideOutcomes = (pack: Pack, look: KinematicLook, options: SideOutcomesOptions): readonly LookOutcome[] =>
  outcomesAt(pack, look, { ...options, bodies: bodiesInLook(pack, look) });

interface OutcomesAtOptions extends SideOutcomesOptions {
  readonly bodies: ReturnType<typeof bodiesInLook>;
}

function outcomesAt(pack: Pack, look: KinematicLook, { watch, hypotheses, bodies }: OutcomesAtOptions): readonly LookOutcome[] {
  const predictions = predictor(look, watch, bodies);
  const predicted = new Map(hypotheses.map((each) => [each.id, predictions(each)]));
  const sound = predictions(SOUND_MACHINE);
  // Every result that any fault of the family shows, so that what was seen stays a result when a fault was found.
  const seen = new Set([sound, ...eachAlone(pack.faults).map(predictions)].map(({ state }) => state));
  const states = MOTION_STATES.filter((state) => seen.has(state) || state === 'still' || look.words[state] !== undefined);
  const chance = (shown: Prediction, state: MotionState): number => {
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
const misreadChance = (look: KinematicLook, { state, visible }: Prediction): number =>
  look.misread + (0.6 - look.misread) * (state === 'turns' ? missedMovement(visible) : 0);

/** Chance of misreading a kinematic look on a healthy chain, for people to see before they trust their eyes. */
export const healthyMisread = (pack: Pack, look: KinematicLook): number =>
  misreadChance(look, predictor(look, look.watch, bodiesInLook(pack, look))(SOUND_MACHINE));

/** Chance scale of missing a movement of so many times the visible one: 1 at none, e⁻¹·⁵ at one, nil at two. */
const missedMovement = (times: number) => Math.exp(-1.5 * times * times);

interface Prediction {
  readonly state: MotionState;
  /** The movement, as a multiple of one that can be seen. */
  readonly visible: number;
}

/** What the watched body does under a hypothesis. */
const predictor =
  (look: KinematicLook, watch: string, bodies: OutcomesAtOptions['bodies']) =>
  (hypothesis: Hypothesis): Prediction => {
    if (look.power === 'own' && takingPower(look, hypothesis).length > 0) return { state: 'still', visible: 0 };
    const moved = bodies(jointFaults(hypothesis));
    // Where what one drives will not go, that is all there is to see, however far away one looks.
    if (moved[look.drive.body]?.state === 'locked') return { state: 'locked', visible: 0 };
    const { state = 'still', turns, travelMm } = moved[watch] ?? {};
    const visible = travelMm === undefined ? Math.abs(turns ?? 0) / (VISIBLE_DEG / 360) : Math.abs(travelMm) / VISIBLE_MM;
    return { state, visible };
  };
