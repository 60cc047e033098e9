import type { NextMeasurement } from '../packages/core/src/gear/identifySchema.ts';
/**
 * How well a worn gear is recognised: random standard spur gears, worn teeth and tips, a caliper that
 * errs by 0.03 mm; the advice says what to measure next, until it has nothing more to ask.
 *
 *   npm run bench:identify [-- GEARS]     (default 2000)
 *
 * Baselines in the same run: the table look-up (tip diameter over teeth + 2, nearest standard size, 20°),
 * and the same dimensions measured in a random order.
 */
import { cylindricalDimensions, cylindricalInput, identifyCylindrical, identifyInput, type IdentifyInput } from '@patient-badger/core/gear';
import { DIAMETRAL_PITCHES, STANDARD_MODULES } from '../packages/core/src/gear/standardSizes.ts';
import { nearestSpan } from './nearestSpan.ts';
import { cutWith, gaussian, seeded } from '../packages/core/src/testing.ts';

const GEARS = Number(process.argv[2] ?? 2000);
const NOISE = 0.03;
const MOST_READINGS = 8;
const random = seeded(20261125);
const between = (low: number, high: number) => low + (high - low) * random();
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

interface Truth {
  readonly system: 'module' | 'diametralPitch';
  readonly size: number;
  readonly moduleMm: number;
  readonly teeth: number;
  readonly pressureAngleDeg: number;
  readonly profileShift: number;
  readonly thinningMm: number;
  readonly tipLossMm: number;
}

/** Sizes of small machines, 0.5 to 5 mm, pressure angles as they occur. */
function drawGear(): Truth {
  const metric = random() < 0.6;
  const size = metric ? pick(STANDARD_MODULES.filter((m) => m >= 0.5 && m <= 5)) : pick(DIAMETRAL_PITCHES.filter((p) => p >= 5 && p <= 48));
  const wear = between(0, 0.15);
  return {
    system: metric ? 'module' : 'diametralPitch',
    size,
    moduleMm: metric ? size : 25.4 / size,
    teeth: Math.round(between(14, 70)),
    pressureAngleDeg: metric || random() < 0.6 ? 20 : 14.5,
    profileShift: Math.max(-0.3, Math.min(0.6, 0.2 * gaussian(random))),
    thinningMm: wear,
    tipLossMm: between(0, 0.15),
  };
}

type Reading = { readonly kind: 'tip' | 'root' } | { readonly kind: 'span'; readonly teeth: number };

function measure(truth: Truth, reading: Reading): number {
  const { teeth, moduleMm, pressureAngleDeg, profileShift, thinningMm, tipLossMm } = truth;
  const spanTeeth = reading.kind === 'span' ? reading.teeth : undefined;
  const gear = cylindricalDimensions(
    cylindricalInput.parse({ teeth, normalModuleMm: moduleMm, pressureAngleDeg, profileShift, toothThinningMm: thinningMm, spanTeeth }),
  );
  const whole = { tip: gear.tipDiameterMm - tipLossMm, root: gear.rootDiameterMm, span: gear.spanMm }[reading.kind];
  return whole + NOISE * gaussian(random);
}

/** Spans that were advised, and those of them on which the jaws hit a tip or a foot: a tooth fewer or more is taken then. */
const spans = { advised: 0, missed: 0 };

const cutOf = ({ teeth, moduleMm, pressureAngleDeg, profileShift, thinningMm }: Truth) =>
  cutWith({ teeth, normalModuleMm: moduleMm, pressureAngleDeg, profileShift, toothThinningMm: thinningMm });

/** The span that the hand takes where this one was advised. */
const nearestTaken = (truth: Truth, k: number, already: IdentifyInput['measurements']['spans']) =>
  nearestSpan(cutOf(truth), { k, tipLossMm: truth.tipLossMm, already });

const readingOf = ({ quantity, spanTeeth }: { quantity: string; spanTeeth?: number | undefined }): Reading => {
  if (spanTeeth !== undefined) return { kind: 'span', teeth: spanTeeth };
  return { kind: quantity === 'rootDiameterMm' ? 'root' : 'tip' };
};

function withReading(input: IdentifyInput, reading: Reading, value: number): IdentifyInput {
  const read = { value, plusMinus: NOISE };
  const { measurements } = input;
  if (reading.kind === 'span') {
    return { ...input, measurements: { ...measurements, spans: [...measurements.spans, { teeth: reading.teeth, spanMm: read }] } };
  }
  return { ...input, measurements: { ...measurements, [reading.kind === 'tip' ? 'tipDiameterMm' : 'rootDiameterMm']: read } };
}

/** The readings a random order would choose from: what the advice may ask for, in any order. */
function randomReading(truth: Truth, input: IdentifyInput): Reading | null {
  const usual = Math.max(2, Math.round(truth.teeth / 9 + 0.5));
  const taken = new Set(input.measurements.spans.map(({ teeth }) => teeth));
  const left: Reading[] = [usual - 1, usual, usual + 1, usual + 2]
    .filter((k) => k > 0 && k < truth.teeth && !taken.has(k))
    .map((teeth) => ({ kind: 'span', teeth }));
  if (!input.measurements.rootDiameterMm) left.push({ kind: 'root' });
  return left.length === 0 ? null : pick(left);
}

const SURE = 0.99;
const times: number[] = [];

/** Measures until it is sure or nothing is worth asking; how many readings it took and where the truth stands. */
function follow(truth: Truth, next: (input: IdentifyInput, advised: NextMeasurement) => Reading | null) {
  let input = withReading(identifyInput.parse({ teeth: truth.teeth, measurements: {} }), { kind: 'tip' }, measure(truth, { kind: 'tip' }));
  for (let readings = 1; ; readings++) {
    const start = performance.now();
    const { candidates, nextMeasurement } = identifyCylindrical(input);
    times.push(performance.now() - start);
    const rank = candidates.findIndex(
      ({ system, size, pressureAngleDeg }) => system === truth.system && size === truth.size && pressureAngleDeg === truth.pressureAngleDeg,
    );
    const reading = readings >= MOST_READINGS || (candidates[0]?.probability ?? 0) >= SURE ? null : next(input, nextMeasurement);
    if (!reading) return { rank: rank < 0 ? Infinity : rank, readings };
    input = withReading(input, reading, measure(truth, reading));
  }
}

function byTable({ teeth, ...truth }: Truth): boolean {
  const wanted = measure({ teeth, ...truth }, { kind: 'tip' }) / (teeth + 2);
  const sizes = [
    ...STANDARD_MODULES.map((size) => ({ system: 'module', size, m: size })),
    ...DIAMETRAL_PITCHES.map((size) => ({ system: 'diametralPitch', size, m: 25.4 / size })),
  ];
  const nearest = sizes.reduce((best, each) => (Math.abs(each.m - wanted) < Math.abs(best.m - wanted) ? each : best));
  return nearest.system === truth.system && nearest.size === truth.size && truth.pressureAngleDeg === 20;
}

const truths = Array.from({ length: GEARS }, drawGear);
const advised = truths.map((truth) =>
  follow(truth, ({ measurements }, advised) => {
    const reading = advised ? readingOf(advised) : null;
    if (reading?.kind !== 'span') return reading;
    spans.advised++;
    const teeth = nearestTaken(truth, reading.teeth, measurements.spans);
    if (teeth !== reading.teeth) spans.missed++;
    return teeth === null ? null : { kind: 'span', teeth };
  }),
);
const advisedTimes = [...times].sort((p, q) => p - q);
const chance = truths.map((truth) =>
  follow(truth, (input) => {
    const reading = randomReading(truth, input);
    if (reading?.kind !== 'span') return reading;
    const teeth = nearestTaken(truth, reading.teeth, input.measurements.spans);
    return teeth === null ? null : { kind: 'span', teeth };
  }),
);
const table = truths.filter(byTable).length;
const share = (count: number) => `${((100 * count) / GEARS).toFixed(1)} %`;
const first = (list: readonly { rank: number }[], within: number) => share(list.filter(({ rank }) => rank < within).length);
const mean = (list: readonly { readings: number }[]) => (list.reduce((sum, { readings }) => sum + readings, 0) / GEARS).toFixed(2);
console.table({
  'as advised': { first: first(advised, 1), 'within three': first(advised, 3), readings: mean(advised) },
  'in a random order': { first: first(chance, 1), 'within three': first(chance, 3), readings: mean(chance) },
  'table look-up by the tips': { first: share(table), 'within three': '', readings: '1.00' },
});
const at = (q: number) => (advisedTimes[Math.floor(q * (advisedTimes.length - 1))] ?? 0).toFixed(1);
console.log(
  `${GEARS} gears; to reach: 97 % first, 99.5 % within three; median ${at(0.5)} ms, 95 of 100 under ${at(0.95)} ms (to reach: median 20)`,
);
console.log(
  `spans advised: ${spans.advised}, of which the jaws could not take ${spans.missed} (${((100 * spans.missed) / Math.max(1, spans.advised)).toFixed(1)} %)`,
);
