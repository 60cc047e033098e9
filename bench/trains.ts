/**
 * Two-stage trains nearest to a wanted reduction from a rack of gears: the exact search against trying
 * every pair of pairs, the answers compared in the same run.
 *
 *   npm run bench:trains
 */
import { nearestTwoStages, stageOf } from '../packages/core/src/ratio/nearestTrains.ts';
import { seeded } from '../packages/core/src/testing.ts';

const random = seeded(20261125);
const QUESTIONS = 20;
const MOST = 10;

for (const most of [30, 45, 60]) {
  const teeth = Array.from({ length: most }, (_, i) => 8 + i);
  const stages = teeth.flatMap((driver) => teeth.map((driven) => stageOf(driver, driven)));
  let [exact, brute, worst, others] = [0, 0, 0, 0];
  for (let i = 0; i < QUESTIONS; i++) {
    const wanted = 0.1 * 400 ** random();
    let start = performance.now();
    const found = nearestTwoStages(stages, stages, { wanted, most: MOST });
    const took = performance.now() - start;
    [exact, worst] = [exact + took, Math.max(worst, took)];
    start = performance.now();
    const best = everyPair(stages, wanted);
    brute += performance.now() - start;
    if (found.some(({ off }, at) => Math.abs(Math.abs(off) - (best[at] ?? NaN)) > 1e-9)) others++;
  }
  console.log(
    `${most} gears, ${stages.length ** 2 / 2} trains: ${(exact / QUESTIONS).toFixed(1)} ms (worst ${worst.toFixed(1)}) against ${(brute / QUESTIONS).toFixed(0)} ms, 1 : ${(brute / exact).toFixed(0)}; ${others} other answers`,
  );
}

/** The smallest distances from the wanted reduction, by trying every pair of stages. */
function everyPair(stages: readonly { readonly reduction: number }[], wanted: number): readonly number[] {
  let best: number[] = [];
  let worst = Infinity;
  const logs = stages.map(({ reduction }) => Math.log(reduction));
  const goal = Math.log(wanted);
  for (let i = 0; i < logs.length; i++) {
    for (let j = i; j < logs.length; j++) {
      const off = Math.abs((logs[i] as number) + (logs[j] as number) - goal);
      if (off >= worst) continue;
      best.push(off);
      if (best.length < 4 * MOST) continue;
      best = best.sort((p, q) => p - q).slice(0, MOST);
      worst = best.at(-1) ?? Infinity;
    }
  }
  return best.sort((p, q) => p - q).slice(0, MOST);
}
