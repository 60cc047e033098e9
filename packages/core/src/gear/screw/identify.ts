import { z } from 'zod';
import { fail } from '../../failure/CoreFailure.ts';
import { MM_PER_INCH } from '../../quantity/length.ts';
import { INSTRUMENTS, measuredLength } from '../../quantity/measured.ts';
import { nextMeasurement } from '../identifySchema.ts';
import { identifySize } from '../identifySize.ts';
import { MOST_TEETH, countUpTo, positiveUpTo } from '../../quantity/bounds.ts';
/** Pitches of ISO 261 and ISO 2904 that moving screws of small machines have, mm; and threads per inch of their inch kin. */
const PITCHES_MM = [0.5, 0.7, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5, 4, 5, 6, 7, 8, 9, 10, 12] as const;
const THREADS_PER_INCH = [40, 36, 32, 28, 24, 20, 18, 16, 14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4] as const;
const STARTS = { 1: 0.75, 2: 0.15, 3: 0.04, 4: 0.06 } as const;

export const screwIdentifyInput = z.strictObject({
  measurements: z.strictObject({
    pitch: z.strictObject({ threads: countUpTo(MOST_TEETH), lengthMm: measuredLength }).optional(),
    travel: z.strictObject({ turns: positiveUpTo(100_000), travelMm: measuredLength }).optional(),
  }),
  starts: z.int().positive().max(12).optional(),
});
export const screwIdentifyOutput = z.object({
  candidates: z.array(
    z.object({
      series: z.enum(['metric', 'inch']),
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
 * Which standard thread drives this nut, from the pitch over several threads and from how far it travels
 * in so many turns. Lengths mm. Sources: ISO 261, ISO 2904 (pitches), ASME B1.1 (threads per inch).
 * @throws CoreFailure where nothing was measured
 */
export function identifyScrew({
  measurements: { pitch, travel },
  starts,
}: z.output<typeof screwIdentifyInput>): z.input<typeof screwIdentifyOutput> {
  if (!pitch && !travel) throw fail('nothingGiven', 'measurements', { reason: 'measureScrewFirst' });
  const sizes = [
    ...PITCHES_MM.map((size) => ({ series: 'metric' as const, size: size, pitchMm: size })),
    ...THREADS_PER_INCH.map((size) => ({ series: 'inch' as const, size: size, pitchMm: MM_PER_INCH / size })),
  ];
  const starting = starts === undefined ? Object.entries(STARTS) : [[String(starts), 1] as const];
  const hypotheses = sizes.flatMap((size) => starting.map(([n, prior]) => ({ of: { ...size, starts: Number(n) }, prior: Number(prior) })));
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
  ]);
  return { ...rest, candidates: ranked.map(({ of, ...each }) => ({ ...of, leadMm: of.pitchMm * of.starts, ...each })) };
}
