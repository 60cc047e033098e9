import { checkMotion } from './check.ts';
import { solveWithEnds } from './endStop.ts';
import type { MotionInput, MotionOutput } from './schema.ts';
import { solve, type Motion } from './solve.ts';

/**
 * What every body of a driveline does when some are driven, some held and some joints are faulty.
 *
 * Turns are signed; sliders travel in mm. `ratios` are those of the healthy chain per turn of the
 * first driven body; `inputTurnsToSee` is how far that one must be turned before the watched body
 * has moved `visibleDeg` (default 20°; sliders `visibleMm`, default 2 mm), absent where it never will.
 * Toothed sectors and racks with a `travelDeg` or `travelMm` stop the chain at their end (`endStop`).
 * Kinematics of gear trains: ISO 21771, clause 4 (ratio and sense of rotation).
 *
 * @throws CoreFailure for an unknown body or joint, or a body both driven and held.
 * @example worm of 1 start on 40 teeth, 10 turns in → wheel 0.25 turns; 2.22 turns in until 20° show
 */
export function motion(input: MotionInput): MotionOutput {
  checkMotion(input);
  const { bodies, stop } = moved(input);
  const first = input.drive[0] as MotionInput['drive'][number];
  const ratios = healthyRatios(input);
  const sliders = slidersOf(input.driveline);
  return {
    bodies,
    ratios,
    ...toSee(input, ratios, sliders),
    ...(stop ? { endStop: { joint: stop.joint, input: (first.turns ?? first.travelMm ?? 0) * stop.share } } : {}),
  };
}

const slidersOf = ({ bodies }: MotionInput['driveline']): ReadonlySet<string> =>
  new Set(bodies.filter(({ kind }) => kind === 'slider').map(({ id }) => id));

/** What the bodies do, and nothing else: for whoever asks the same chain hundreds of times, and checked the question once. */
export function moved(input: Pick<MotionInput, 'driveline' | 'drive' | 'held' | 'faults' | 'underLoad'>) {
  const drive = new Map(input.drive.map((each) => [each.body, each.turns ?? each.travelMm ?? 0]));
  const { moved: motions, stop } = solveWithEnds({ ...input, drive });
  const sliders = slidersOf(input.driveline);
  return { bodies: Object.fromEntries([...motions].map(([id, each]) => [id, said(each, sliders.has(id))])), stop };
}

function said({ value, state }: Motion, slides: boolean): MotionOutput['bodies'][string] {
  if (state === 'less' || state === 'irregular') return { state };
  // + 0 turns the -0 of a reversed rest into 0.
  return slides ? { travelMm: value + 0, state } : { turns: value + 0, state };
}

function healthyRatios(input: MotionInput): Record<string, number> {
  const first = input.drive[0] as MotionInput['drive'][number];
  const unit = (first.turns ?? first.travelMm ?? 1) < 0 ? -1 : 1;
  const ask = (held: readonly string[]) =>
    solve({ driveline: input.driveline, drive: new Map([[first.body, unit]]), held, faults: [], underLoad: false });
  const withHeld = ask(input.held);
  // What is held may lock the whole chain; the ratio is then that of the chain let go.
  const moved = withHeld.get(first.body)?.value === 0 ? ask([]) : withHeld;
  return Object.fromEntries([...moved].map(([id, { value }]) => [id, value === 0 ? 0 : value / unit]));
}

function toSee(input: MotionInput, ratios: Record<string, number>, sliders: ReadonlySet<string>): { inputTurnsToSee?: number } {
  if (input.watch === undefined) return {};
  const ratio = Math.abs(ratios[input.watch] ?? 0);
  if (ratio === 0) return {};
  return { inputTurnsToSee: (sliders.has(input.watch) ? input.visibleMm : input.visibleDeg / 360) / ratio };
}
