import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { MM_PER_INCH } from '../../quantity/length.ts';
import { INSTRUMENTS, measuredAngle, measuredLength } from '../../quantity/measured.ts';
import { nextMeasurement } from '../identifySchema.ts';
import { identifySize } from '../identifySize.ts';
import { MOST_TEETH, countUpTo, positiveUpTo } from '../../quantity/bounds.ts';

/** Sections of a thread: pointed as on bolts, or with the broad flat flanks of moving screws. */
export const THREAD_FORMS = ['vee', 'trapezoidal'] as const;

/**
 * Threads of small machines' screws: pitches in mm or threads per inch, and how far a flank leans from upright
 * (ISO 261 and ISO 68-1, ISO 2904, ASME B1.1, ASME B1.5). How often a moving screw has each form: judgement.
 */
const THREADS = [
  {
    series: 'metric',
    form: 'vee',
    flankAngleDeg: 30,
    share: 0.45,
    sizes: [0.5, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 4.5, 5, 5.5, 6],
  },
  { series: 'metric', form: 'trapezoidal', flankAngleDeg: 15, share: 0.55, sizes: [1.5, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12] },
  {
    series: 'inch',
    form: 'vee',
    flankAngleDeg: 30,
    share: 0.45,
    sizes: [40, 36, 32, 28, 24, 20, 18, 16, 14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4.5, 4],
  },
  { series: 'inch', form: 'trapezoidal', flankAngleDeg: 14.5, share: 0.55, sizes: [16, 14, 12, 10, 8, 6, 5, 4, 3, 2.5, 2] },
] as const;
/** A protractor on a short flank, degrees. */
const FLANK_DEG = 2;
const STARTS = { 1: 0.75, 2: 0.15, 3: 0.04, 4: 0.06 } as const;

export const screwIdentifyInput = z.strictObject({
  measurements: z.strictObject({
    pitch: z.strictObject({ threads: countUpTo(MOST_TEETH), lengthMm: measuredLength }).optional(),
    travel: z.strictObject({ turns: positiveUpTo(100_000), travelMm: measuredLength }).optional(),
    /** How far a flank leans from upright. */
    flankAngleDeg: measuredAngle.optional(),
  }),
  starts: z.int().positive().max(12).optional(),
});
export const screwIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      series: z.enum(['metric', 'inch']),
      form: z.enum(THREAD_FORMS),
      flankAngleDeg: z.number(),
      /** Pitch in mm, or threads per inch. */
      size: z.number(),
      pitchMm: z.number(),
      starts: z.number(),
      leadMm: z.number(),
      probability: z.number(),
      predicted: z.record(z.string(), z.number()),
      residuals: z.record(z.string(), z.number()),
    }),
  ),
  noneOfTheseProbability: z.number(),
  nextMeasurement,
});

export type ScrewCandidate = z.infer<typeof screwIdentifyOutput>['candidates'][number];

const OVER = 10;

/**
 * Which standard thread drives this nut, from the pitch over several threads, how far it travels in so many
 * turns, and how far its flanks lean. Lengths mm, angles degrees. Sources: ISO 261, ISO 2904, ASME B1.1, ASME B1.5.
 * @throws CoreFailure where nothing was measured
 */
export function identifyScrew({
  measurements: { pitch, travel, flankAngleDeg },
  starts,
}: z.output<typeof screwIdentifyInput>): z.input<typeof screwIdentifyOutput> {
  if (!pitch && !travel) throw fail('nothingGiven', 'measurements', { reason: 'measureScrewFirst' });
  const threads = THREADS.flatMap(({ sizes, share, ...thread }) =>
    sizes.map((size) => ({
      of: { ...thread, size, pitchMm: thread.series === 'metric' ? size : MM_PER_INCH / size },
      share: share / sizes.length,
    })),
  );
  const starting = starts === undefined ? Object.entries(STARTS) : [[String(starts), 1] as const];
  const hypotheses = threads.flatMap(({ of, share }) =>
    starting.map(([n, prior]) => ({ of: { ...of, starts: Number(n) }, prior: share * Number(prior) })),
  );
  const { ranked, ...rest } = identifySize(hypotheses, [
    {
      quantity: 'pitchMm',
      minutes: 1,
      how: 'alongScrew',
      over: OVER,
      read: pitch && { value: pitch.lengthMm.value / pitch.threads, plusMinus: pitch.lengthMm.plusMinus / pitch.threads },
      predict: (each) => each.pitchMm,
      plusMinus: INSTRUMENTS.digitalCaliper.plusMinus / OVER,
    },
    {
      quantity: 'leadMm',
      minutes: 2,
      how: 'nutTravel',
      over: OVER,
      read: travel && { value: travel.travelMm.value / travel.turns, plusMinus: travel.travelMm.plusMinus / travel.turns },
      predict: (each) => each.pitchMm * each.starts,
      plusMinus: 0.03,
    },
    {
      quantity: 'starts',
      minutes: 0.5,
      how: 'countScrewStarts',
      read: starts === undefined ? undefined : { value: starts, plusMinus: 0.05 },
      predict: (each) => each.starts,
      plusMinus: 0.05,
    },
    {
      quantity: 'flankAngleDeg',
      minutes: 1,
      how: 'flankAngle',
      read: flankAngleDeg,
      predict: (each) => each.flankAngleDeg,
      plusMinus: FLANK_DEG,
      logRange: 2,
    },
  ]);
  return { ...rest, candidates: ranked.map(({ of, ...each }) => ({ ...of, leadMm: of.pitchMm * of.starts, ...each })) };
}
