import { z } from 'zod';
import { fail } from '../failure/CoreFailure.ts';
import { MOST_TEETH, countUpTo } from '../quantity/bounds.ts';

const stretch = z.strictObject({
  /** First and last tooth, counted from 1 clockwise; on a full wheel a stretch may run over the last tooth. */
  from: countUpTo(MOST_TEETH),
  to: countUpTo(MOST_TEETH),
});

export const arcsInput = z.strictObject({
  /** Teeth that are there; on a full wheel all of them. */
  teeth: z.int().min(2).max(2000),
  /** A wheel goes all the way round, a sector does not. */
  shape: z.enum(['wheel', 'sector']).default('wheel'),
  /** Teeth of the full circle: of a sector, for its angle. */
  fullTeeth: z.int().min(4).max(2000).optional(),
  /** Stretches that have worked, or are broken. */
  worked: z.array(stretch).max(MOST_TEETH).default([]),
  /** Teeth that the travel takes, those at both ends included. */
  needTeeth: countUpTo(MOST_TEETH),
});
export const arcsOutput = z.object({
  workedTeeth: z.number(),
  /** Stretches that have never worked, longest first. */
  fresh: z.array(z.object({ from: z.number(), to: z.number(), teeth: z.number() })),
  /** Ways to put the gear back so that only fresh teeth work; none shares a tooth with another. Fewest teeth to turn first. */
  positions: z.array(z.object({ from: z.number(), to: z.number(), turnTeeth: z.number(), turnDeg: z.number() })),
});
export type Arcs = z.infer<typeof arcsOutput>;

/**
 * Which teeth of a wheel or sector have worked, and how often it can be turned on its shaft so that only
 * unworn teeth meet the mate. `turnTeeth` counts from the first worked stretch, clockwise positive;
 * angles degrees.
 * @throws CoreFailure where a stretch names a tooth that is not there, or a sector's runs over its end
 * @example 41 teeth, 1 to 9 worked, 9 needed → 3 positions more
 */
export function freshArcs({ teeth, shape, fullTeeth = teeth, worked, needTeeth }: z.output<typeof arcsInput>): Arcs {
  if (needTeeth > teeth) throw fail('outOfRange', 'needTeeth', { minimum: 1, maximum: teeth, given: needTeeth });
  if (shape === 'sector' && fullTeeth < teeth) throw fail('outOfRange', 'fullTeeth', { minimum: teeth, maximum: 2000, given: fullTeeth });
  const used = new Array<boolean>(teeth).fill(false);
  worked.forEach(({ from, to }, i) => {
    for (const [name, at] of [
      ['from', from],
      ['to', to],
    ] as const) {
      if (at > teeth) throw fail('outOfRange', `worked.${i}.${name}`, { minimum: 1, maximum: teeth, given: at });
    }
    if (shape === 'sector' && to < from) throw fail('contradiction', `worked.${i}.to`, { reason: 'sectorCountedBack', from, to });
    for (let at = from - 1; ; at = (at + 1) % teeth) {
      used[at] = true;
      if (at === to - 1) break;
    }
  });
  const fresh = freshStretches(used, shape === 'wheel');
  const start = worked[0]?.from ?? 1;
  const turn = (from: number) => {
    const ahead = from - start;
    if (shape === 'sector') return ahead;
    return Math.abs(ahead) <= teeth / 2 ? ahead : ahead - Math.sign(ahead) * teeth;
  };
  const positions = fresh.flatMap(({ from, teeth: length }) =>
    Array.from({ length: Math.floor(length / needTeeth) }, (_, i) => {
      const at = ((from - 1 + i * needTeeth) % teeth) + 1;
      const turnTeeth = turn(at);
      return { from: at, to: ((at + needTeeth - 2) % teeth) + 1, turnTeeth, turnDeg: (360 * turnTeeth) / fullTeeth };
    }),
  );
  return {
    workedTeeth: used.filter(Boolean).length,
    fresh: [...fresh].sort((p, q) => q.teeth - p.teeth),
    positions: positions.sort((p, q) => Math.abs(p.turnTeeth) - Math.abs(q.turnTeeth)),
  };
}

function freshStretches(used: readonly boolean[], round: boolean): readonly { from: number; to: number; teeth: number }[] {
  const { length } = used;
  if (!used.includes(true)) return [{ from: 1, to: length, teeth: length }];
  // On a wheel counting begins behind a worked tooth, so that no stretch is cut in two.
  const begin = round ? used.indexOf(true) + 1 : 0;
  const list: { from: number; to: number; teeth: number }[] = [];
  let run = 0;
  for (let i = 0; i <= length; i++) {
    const at = (begin + i) % length;
    const free = i < length && !used[at];
    if (free) run++;
    else if (run > 0) {
      const last = (at - 1 + length) % length;
      list.push({ from: ((last - run + 1 + length) % length) + 1, to: last + 1, teeth: run });
      run = 0;
    }
  }
  return list;
}
