/**
 * Whether what is said of a gear is what is so: over made-up worn gears and a caliper that errs by 0.02 mm, measured as
 * advised, the probability said of the first candidate beside the share in which it is the gear.
 *
 *   npm run bench:calibration [-- GEARS [EXACT]]     (default 20000 gears, 200 of them by the exact integral as well)
 *
 * Half of the gears are out of a catalogue, without shift; a quarter have any shift between −0.5 and 0.8; a quarter are
 * shifted as BS 436:1940 has it, from which no prior was made. Dimensions are worked out here by ISO 21771's formulas.
 * Ends with 1 where a tenth is off by more than its bound, or the log score by more than 2 %.
 */
import { identifyCylindrical, identifyInput, type IdentifyInput } from '@patient-badger/core/gear';
import { noneOfTheseEvidence } from '../packages/core/src/gear/cylindrical/evidence.ts';
import { NONE_OF_THESE_PRIOR, type NextMeasurement } from '../packages/core/src/gear/identifySchema.ts';
import { CYLINDRICAL_SHIFTS, PRESSURE_ANGLES } from '../packages/core/src/gear/priors.ts';
import { DIAMETRAL_PITCHES, standardSizes, STANDARD_MODULES } from '../packages/core/src/gear/standardSizes.ts';
import { nearestSpan } from './nearestSpan.ts';
import { cutWith, gaussian, seeded } from '../packages/core/src/testing.ts';

const GEARS = Number(process.argv[2] ?? 20_000);
const EXACT = Number(process.argv[3] ?? 200);
const CALIPER = 0.02;
const MOST_WEAR = 0.15;
const MOST_READINGS = 6;
const SURE = 0.99;
const random = seeded(20261201);
const between = (low: number, high: number) => low + (high - low) * random();
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

interface Gear {
  readonly from: 'catalogue' | 'any shift' | 'BS 436';
  readonly system: 'module' | 'diametralPitch';
  readonly size: number;
  readonly m: number;
  readonly z: number;
  readonly alphaDeg: number;
  readonly x: number;
  readonly thinningMm: number;
  readonly tipLossMm: number;
}

/** What stockists print. */
const STOCK = { module: [0.5, 0.8, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5], diametralPitch: [48, 32, 24, 20, 16, 12, 10, 8, 6, 5] };
const ALL = {
  module: STANDARD_MODULES.filter((m) => m >= 0.5 && m <= 5),
  diametralPitch: DIAMETRAL_PITCHES.filter((p) => p >= 5 && p <= 48),
};

/** BS 436:1940, correction of a gear of z teeth with its mate: from 60 teeth together the pinion's is the wheel's with the other sign. */
function bs436(z: number, mate: number): number {
  if (z + mate < 60) return 0.02 * (30 - z);
  const [pinion, wheel] = [Math.min(z, mate), Math.max(z, mate)];
  const x = Math.max(0.4 * (1 - pinion / wheel), 0.02 * (30 - pinion));
  return z === pinion ? x : -x;
}

function drawGear(): Gear {
  const from = pick(['catalogue', 'catalogue', 'any shift', 'BS 436'] as const);
  const system = random() < 0.6 ? 'module' : 'diametralPitch';
  const size = pick((from === 'catalogue' ? STOCK : ALL)[system]);
  const z = Math.round(between(12, 70));
  return {
    from,
    system,
    size,
    m: system === 'module' ? size : 25.4 / size,
    z,
    alphaDeg: system === 'diametralPitch' && random() < 0.4 ? 14.5 : 20,
    x: { catalogue: () => 0, 'any shift': () => between(-0.5, 0.8), 'BS 436': () => bs436(z, Math.round(between(12, 70))) }[from](),
    thinningMm: between(0, MOST_WEAR),
    tipLossMm: between(0, MOST_WEAR),
  };
}

const radians = (deg: number) => (deg * Math.PI) / 180;
const tipOf = (m: number, z: number, x: number) => m * (z + 2 + 2 * x);
const rootOf = (m: number, z: number, x: number) => m * (z - 2.5 + 2 * x);
function spanOf({ m, z, x, alphaDeg }: Pick<Gear, 'm' | 'z' | 'x' | 'alphaDeg'>, k: number): number {
  const alpha = radians(alphaDeg);
  return m * Math.cos(alpha) * (Math.PI * (k - 0.5) + z * (Math.tan(alpha) - alpha)) + 2 * x * m * Math.sin(alpha);
}

const erring = (value: number) => ({ value: value + CALIPER * gaussian(random), plusMinus: CALIPER });

/** The span that the hand takes where so many teeth were advised. */
const taken = ({ m, z, x, alphaDeg, thinningMm, tipLossMm }: Gear, k: number, already: readonly { teeth: number }[]) =>
  nearestSpan(cutWith({ teeth: z, normalModuleMm: m, pressureAngleDeg: alphaDeg, profileShift: x, toothThinningMm: thinningMm }), {
    k,
    tipLossMm,
    already,
  });

function read(gear: Gear, input: IdentifyInput, { quantity, spanTeeth }: NonNullable<NextMeasurement>): IdentifyInput | null {
  const { m, z, x, alphaDeg, thinningMm, tipLossMm } = gear;
  const { measurements } = input;
  const more = (given: Partial<IdentifyInput['measurements']>) => ({ ...input, measurements: { ...measurements, ...given } });
  if (quantity === 'tipDiameterMm') return more({ tipDiameterMm: erring(tipOf(m, z, x) - tipLossMm) });
  if (quantity === 'rootDiameterMm') return more({ rootDiameterMm: erring(rootOf(m, z, x)) });
  const teeth = spanTeeth === undefined ? null : taken(gear, spanTeeth, measurements.spans);
  if (teeth === null) return null;
  const spanMm = erring(spanOf(gear, teeth) - thinningMm * Math.cos(radians(alphaDeg)));
  return more({ spans: [...measurements.spans, { teeth, spanMm }] });
}

interface Said {
  readonly from: Gear['from'];
  readonly probability: number;
  readonly right: boolean;
}

const isIt = (gear: Gear) => (each: { system: string; size: number; pressureAngleDeg: number }) =>
  each.system === gear.system && each.size === gear.size && each.pressureAngleDeg === gear.alphaDeg;

/** Everything said on the way, and the last input with what was said of the truth. */
function follow(gear: Gear): { said: Said[]; input: IdentifyInput; ofTruth: number } {
  const said: Said[] = [];
  let input = identifyInput.parse({
    teeth: gear.z,
    measurements: { tipDiameterMm: erring(tipOf(gear.m, gear.z, gear.x) - gear.tipLossMm) },
  });
  for (let readings = 1; ; readings++) {
    const { candidates, nextMeasurement } = identifyCylindrical(input);
    const [first] = candidates;
    const ofTruth = candidates.find(isIt(gear))?.probability ?? 0;
    if (first) said.push({ from: gear.from, probability: first.probability, right: isIt(gear)(first) });
    const enough = readings >= MOST_READINGS || (first?.probability ?? 0) >= SURE;
    const next = enough || !nextMeasurement ? null : read(gear, input, nextMeasurement);
    if (!next) return { said, input, ofTruth };
    input = next;
  }
}

/** What the same belief says by brute force: sums over shifts, thinnings and tips on fine grids, every standard gear, nothing left out. */
function exactly(gear: Gear, { measurements, wear, teeth: z = 0, systems }: IdentifyInput): number {
  const density = (read: { value: number; plusMinus: number }, is: number, sd = read.plusMinus) =>
    Math.exp(-0.5 * ((read.value - is) / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));
  const losses = 60;
  const mean = (most: number, of: (loss: number) => number) => {
    let sum = 0;
    for (let i = 0; i < losses; i++) sum += of((most * (i + 0.5)) / losses);
    return sum / losses;
  };
  const { tipDiameterMm: tip, rootDiameterMm: root, spans } = measurements;
  const likelihood = (m: number, alphaDeg: number, x: number) => {
    let all = 1;
    if (tip) all *= mean(wear.maxTipLossMm, (loss) => density(tip, tipOf(m, z, x) - loss));
    if (all === 0) return 0;
    if (root) all *= density(root, rootOf(m, z, x), Math.hypot(root.plusMinus, 0.1 * m));
    const at = spans.map(({ teeth }) => spanOf({ m, z, x, alphaDeg }, teeth));
    if (spans.length === 0 || all < 1e-300) return all;
    return (
      all *
      mean(wear.maxThinningMm, (thinning) =>
        spans.reduce((p, { spanMm }, i) => p * density(spanMm, (at[i] ?? 0) - thinning * Math.cos(radians(alphaDeg))), 1),
      )
    );
  };
  const { from, to, unshifted } = CYLINDRICAL_SHIFTS;
  const STEPS = 3000;
  let [all, truth] = [0, 0];
  for (const { system, size, moduleMm: m, share } of standardSizes(systems)) {
    for (const [alphaDeg, often] of PRESSURE_ANGLES[system]) {
      let shifted = 0;
      for (let i = 0; i < STEPS; i++) {
        const x = from + ((to - from) * (i + 0.5)) / STEPS;
        // Where the tips are far off nothing else is asked.
        if (tip && (tipOf(m, z, x) < tip.value - 8 * tip.plusMinus || tipOf(m, z, x) > tip.value + wear.maxTipLossMm + 8 * tip.plusMinus))
          continue;
        shifted += likelihood(m, alphaDeg, x) / STEPS;
      }
      const each = share * often * (unshifted * likelihood(m, alphaDeg, 0) + (1 - unshifted) * shifted);
      all += each;
      if (system === gear.system && size === gear.size && alphaDeg === gear.alphaDeg) truth = each;
    }
  }
  const none = NONE_OF_THESE_PRIOR * Math.exp(noneOfTheseEvidence({ measurements, wear, teeth: z, systems }));
  return (truth * (1 - NONE_OF_THESE_PRIOR)) / (all * (1 - NONE_OF_THESE_PRIOR) + none);
}

/** Shows what is said by tenths; how many of them are off their bound. */
function table(title: string, said: readonly Said[]): number {
  const rows = Array.from({ length: 10 }, (_, i) => {
    const here = said.filter(({ probability }) => Math.min(9, Math.floor(probability * 10)) === i);
    if (here.length === 0) return null;
    const says = here.reduce((sum, each) => sum + each.probability, 0) / here.length;
    const right = here.filter((each) => each.right).length / here.length;
    const error = Math.sqrt((says * (1 - says)) / here.length);
    const bound = here.length >= 400 ? 0.03 : 2 * error;
    const holds = Math.abs(says - right) <= bound;
    const points = (share: number) => (100 * share).toFixed(1);
    return {
      tenth: `${i * 10}–${i * 10 + 10} %`,
      gears: here.length,
      said: points(says),
      right: points(right),
      bound: points(bound),
      holds,
    };
  });
  console.log(`\n${title}`);
  const shown = rows.filter((row) => row !== null);
  console.table(shown);
  return shown.filter(({ holds }) => !holds).length;
}

const gears = Array.from({ length: GEARS }, drawGear);
const followed = gears.map((gear) => ({ gear, ...follow(gear) }));
const last = followed.flatMap(({ said }) => said.slice(-1));
const broken =
  table('What is said at the end, all gears', last) +
  table(
    'What is said after each reading, all gears',
    followed.flatMap(({ said }) => said),
  );
for (const from of ['catalogue', 'any shift', 'BS 436'] as const) {
  table(
    `Of these, ${from} (shown, no bound: what is said is said of all)`,
    last.filter((each) => each.from === from),
  );
}
const some = followed.slice(0, EXACT);
const score = (probabilities: readonly number[]) =>
  -probabilities.reduce((sum, p) => sum + Math.log(Math.max(p, 1e-6)), 0) / probabilities.length;
const ours = score(some.map(({ ofTruth }) => ofTruth));
const exact = score(some.map(({ gear, input }) => exactly(gear, input)));
console.log(
  `log score of ${EXACT}: ${ours.toFixed(4)} nats said, ${exact.toFixed(4)} by the exact integral (${((100 * (ours - exact)) / exact).toFixed(2)} %, bound 2 %)`,
);
console.log(`${last.filter(({ right }) => right).length} of ${GEARS} right at the end; ${broken} tenths off their bound`);
process.exitCode = broken > 0 || Math.abs(ours - exact) > 0.02 * exact ? 1 : 0;
