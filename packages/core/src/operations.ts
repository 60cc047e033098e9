import type { z } from 'zod';
import { accessPlan, type Aim } from './access/plan.ts';
import { planInput, planOutput } from './access/schema.ts';
import { tighteningInput, tighteningOrder, tighteningOutput } from './access/tighteningOrder.ts';
import { wayBack } from './access/wayBack.ts';
import { motion } from './driveline/motion.ts';
import { motionInput, motionOutput } from './driveline/schema.ts';
import { CoreFailure, fail } from './failure/CoreFailure.ts';
import { failureFromZod } from './failure/fromZod.ts';
import { bevelIdentifyInput, bevelIdentifyOutput, identifyBevel } from './gear/bevel/identify.ts';
import { arcsInput, arcsOutput, freshArcs } from './gear/arcs.ts';
import { compareGears, compareInput, compareOutput } from './gear/compare.ts';
import { identifyRack, rackDimensions, rackIdentifyInput, rackIdentifyOutput, rackInput, rackOutput } from './gear/other/rack.ts';
import { identifyScrew, screwDimensions, screwIdentifyInput, screwIdentifyOutput, screwInput, screwOutput } from './gear/other/screw.ts';
import { identifyWheel, wheelIdentifyInput, wheelIdentifyOutput } from './gear/worm/identifyWheel.ts';
import { boreInput, boreOutput, boreSeat } from './fit/bore.ts';
import { fitLimits, limitsInput, limitsOutput } from './fit/limits.ts';
import { bevelDimensions, bevelInput, bevelOutput } from './gear/bevel/dimensions.ts';
import { cylindricalDimensions, cylindricalOutput } from './gear/cylindrical/dimensions.ts';
import { identifyCylindrical } from './gear/cylindrical/identify.ts';
import { identifyInput, identifyOutput } from './gear/cylindrical/identifySchema.ts';
import { meshInput, meshOutput, meshPair } from './gear/cylindrical/mesh.ts';
import { cylindricalInput } from './gear/cylindrical/schema.ts';
import { gearWear, wearInput, wearOutput } from './gear/cylindrical/wear.ts';
import { wormDimensions, wormDimensionsInput, wormDimensionsOutput } from './gear/worm/dimensions.ts';
import { identifyWorm, wormIdentifyInput, wormIdentifyOutput } from './gear/worm/identify.ts';
import { fit } from './match/fit.ts';
import { receive, receiveInput, receiveOutput } from './match/receive.ts';
import { standsIn, standsInInput, standsInOutput } from './match/standsIn.ts';
import { matchFitInput, matchFitOutput } from './match/schema.ts';
import { scanInput, scanOutput } from './scan/schema.ts';
import { scanTeeth } from './scan/scanTeeth.ts';
import { changeInput, changeOutput, drivelineChange } from './ratio/change.ts';
import { correctInput, correctOutput, odometerCorrection } from './ratio/correct.ts';
import { designInput, designOutput, designTrains } from './ratio/design.ts';
import { inferInput, inferOutput, inferRatio } from './ratio/infer.ts';
import { gearSwap, swapInput, swapOutput } from './ratio/swap.ts';
import { takeoffInput, takeoffOutput, takeoffPairs } from './ratio/takeoff.ts';
import { gearTrain, trainInput, trainOutput } from './ratio/train.ts';
import { tyreInput, tyreOutput, tyreTurns } from './ratio/tyre.ts';
import { checkPack } from './trace/checkPack.ts';
import { traceNext } from './trace/next.ts';
import type { Pack } from './trace/pack.ts';
import { traceInput, traceOutput } from './trace/schema.ts';

/** One thing the core works out: checked on the way in and on the way out. */
export interface Operation {
  readonly name: string;
  readonly summary: string;
  readonly input: z.ZodType;
  readonly output: z.ZodType;
  /** @throws CoreFailure with the path of the field at fault; never NaN, never an empty answer */
  readonly run: (input: unknown) => unknown;
}

export interface Operations {
  readonly list: readonly Operation[];
  /** Runs by name. @throws CoreFailure also where there is no such operation */
  readonly run: (name: string, input: unknown) => unknown;
}

/** The one public door of the core. Families are data and are handed in by whoever opens it. */
export function createOperations(findFamily: (id: string) => Pack | undefined, familyIds: () => readonly string[] = () => []): Operations {
  const family = (given: string | Pack): Pack => {
    if (typeof given !== 'string') return inside('family', () => checkPack(given));
    const found = findFamily(given);
    if (!found) throw fail('unknownId', 'family', { given, known: familyIds().join(', ') });
    return found;
  };
  const list: readonly Operation[] = [
    operation('driveline.motion', 'What turns, what stands, and how far to turn until it shows', motionInput, motionOutput, motion),
    operation(
      'access.plan',
      'The shortest opening to places of the chain, and the way back',
      planInput,
      planOutput,
      ({ family: given, opened, stuck, ...aim }) => planFor(family(given), aim, opened, stuck),
    ),
    operation('setup.tighteningOrder', 'In which order and passes to tighten screws', tighteningInput, tighteningOutput, tighteningOrder),
    operation('trace.next', 'Suspects, and the look most worth the next minutes', traceInput, traceOutput, (input) =>
      traceNext(input, family(input.family)),
    ),
    operation(
      'gear.cylindrical.dimensions',
      'Spur or helical gear from teeth and module',
      cylindricalInput,
      cylindricalOutput,
      cylindricalDimensions,
    ),
    operation(
      'gear.cylindrical.identify',
      'Which standard spur or helical gear was this',
      identifyInput,
      identifyOutput,
      identifyCylindrical,
    ),
    operation('gear.pair.mesh', 'Backlash, contact ratio and clearances of a pair', meshInput, meshOutput, meshPair),
    operation('gear.bevel.dimensions', 'Straight bevel pair from teeth, module and shaft angle', bevelInput, bevelOutput, bevelDimensions),
    operation('gear.wear', 'How worn a gear is, against whose limit', wearInput, wearOutput, gearWear),
    operation(
      'gear.worm.dimensions',
      'Worm and wheel from starts, teeth and module',
      wormDimensionsInput,
      wormDimensionsOutput,
      wormDimensions,
    ),
    operation('gear.worm.identify', 'Which standard worm was this', wormIdentifyInput, wormIdentifyOutput, identifyWorm),
    operation('gear.bevel.identify', 'Which standard straight bevel pair was this', bevelIdentifyInput, bevelIdentifyOutput, identifyBevel),
    operation('gear.wheel.identify', 'Which standard worm wheel was this', wheelIdentifyInput, wheelIdentifyOutput, identifyWheel),
    operation('gear.rack.dimensions', 'Rack from teeth and module', rackInput, rackOutput, rackDimensions),
    operation('gear.rack.identify', 'Which standard rack was this', rackIdentifyInput, rackIdentifyOutput, identifyRack),
    operation('gear.screw.dimensions', 'Lead of a screw, and turns for a travel', screwInput, screwOutput, screwDimensions),
    operation('gear.screw.identify', 'Which standard thread was this', screwIdentifyInput, screwIdentifyOutput, identifyScrew),
    operation(
      'gear.sector.identify',
      'Which standard gear a sector or piece of a rim was cut from',
      identifyInput,
      identifyOutput,
      identifyCylindrical,
    ),
    operation('gear.arcs', 'Teeth of a wheel or sector that have worked, and fresh positions left', arcsInput, arcsOutput, freshArcs),
    operation('gear.compare', 'Two gears side by side, attribute by attribute', compareInput, compareOutput, compareGears),
    operation('fit.limits', 'Limits and fit of hole and shaft by ISO 286', limitsInput, limitsOutput, fitLimits),
    operation('fit.bore', 'How a gear sits on its shaft: clearance and turning play', boreInput, boreOutput, boreSeat),
    operation('scan.teeth', 'Teeth counted on a photo: how many, which are missing, how big', scanInput, scanOutput, (input) =>
      scanTeeth(input),
    ),
    operation('ratio.train', 'Ratio of a train of gears', trainInput, trainOutput, gearTrain),
    operation('ratio.infer', 'Tooth counts that explain counted turns', inferInput, inferOutput, inferRatio),
    operation('ratio.design', 'Trains from gears that can be had, for a wanted reduction', designInput, designOutput, designTrains),
    operation('ratio.tyre', 'How often a tyre turns in a kilometre', tyreInput, tyreOutput, tyreTurns),
    operation('ratio.takeoff', 'Drive and driven gear for a speedometer', takeoffInput, takeoffOutput, takeoffPairs),
    operation('ratio.correct', 'Turns that bring an odometer forward', correctInput, correctOutput, odometerCorrection),
    operation('ratio.change', 'What another tyre, axle or top gear does', changeInput, changeOutput, drivelineChange),
    operation('ratio.swap', 'Engine speed with another pair of gears', swapInput, swapOutput, gearSwap),
    operation('match.fit', 'Does this part fit, attribute by attribute', matchFitInput, matchFitOutput, fit),
    operation('match.standsIn', 'Whether one part is the same as another', standsInInput, standsInOutput, standsIn),
    operation('match.receive', 'Is what arrived what was ordered', receiveInput, receiveOutput, receive),
  ];
  const byName = new Map(list.map((each) => [each.name, each]));
  return {
    list,
    run: (name, input) => {
      const found = byName.get(name);
      if (!found) throw fail('unknownId', 'op', { given: name, known: [...byName.keys()].join(', ') });
      return found.run(input);
    },
  };
}

function operation<I extends z.ZodType, O extends z.ZodType>(
  name: string,
  summary: string,
  input: I,
  output: O,
  work: (input: z.output<I>) => z.input<O>,
): Operation {
  return {
    name,
    summary,
    input,
    output,
    run: (raw) => {
      const given = input.safeParse(raw);
      if (!given.success) throw failureFromZod(given.error, raw);
      // The output schema refuses NaN and Infinity: a sum that went wrong is an error, not an answer.
      return output.parse(work(given.data));
    },
  };
}

function planFor(pack: Pack, aim: Required<Aim>, opened: readonly string[], stuck: readonly string[]): z.input<typeof planOutput> {
  const steps = pack.steps.map(({ id }) => id);
  const places = [...pack.driveline.bodies, ...pack.driveline.joints, ...pack.outliers].map(({ id }) => id);
  const check = (known: readonly string[], list: readonly string[], path: string) =>
    list.forEach((given, i) => {
      if (!known.includes(given)) throw fail('unknownId', `${path}.${i}`, { given, known: known.join(', ') });
    });
  check(places, aim.places, 'places');
  check(steps, aim.steps, 'steps');
  check(steps, opened, 'opened');
  check(steps, stuck, 'stuck');
  const plan = accessPlan(pack, aim, opened, stuck);
  const back = wayBack(pack, [...opened, ...(plan?.steps.map(({ id }) => id) ?? [])]);
  return {
    plan: plan && {
      ...plan,
      steps: [...plan.steps],
      tools: [...plan.tools],
      helperFor: [...plan.helperFor],
      whileOpen: [...plan.whileOpen],
    },
    wayBack: [...back],
  };
}

/** Runs a check whose paths start below a field of the input. */
function inside<T>(field: string, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CoreFailure)) throw error;
    throw fail(error.code, `${field}.${error.path}`, error.detail);
  }
}
