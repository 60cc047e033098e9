import { leastSquares } from '../inference/leastSquares.ts';

/** A wave along a line: its length in samples at the middle, how much longer it grows towards the end, and how clear it is, 0 to 1. */
export interface Wave {
  readonly length: number;
  /** Share by which the wave is longer at the end than at the middle: a camera that leans sees the near end larger. */
  readonly growth: number;
  readonly strength: number;
}

const GROWTHS = [-0.09, -0.06, -0.03, 0, 0.03, 0.06, 0.09];

/** Two measures of one pitch may differ so much. */
const SAME = 0.08;
/** Whether two lengths are measures of one pitch. */
export const isSamePitch = (one: number, other: number): boolean => Math.abs(one / other - 1) < SAME;

/** The wave that several lines have in common, whatever its place on each; null where none stands out. */
export function findWave(lines: readonly Float32Array[], longest: number): Wave | null {
  const level = lines.map(levelled);
  const count = level[0]?.length ?? 0;
  const most = count / 3;
  const least = count / longest;
  const spectrum: { cycles: number; power: number }[] = [];
  for (let cycles = Math.max(2.5, least); cycles < most; cycles *= 1.02)
    spectrum.push({ cycles, power: powerOf(level, count / cycles, 0) });
  if (spectrum.length < 8) return null;
  // The second harmonic is a thread's corners: it belongs to the same wave.
  const scored = spectrum.map(({ cycles, power }) => {
    const second = 2 * cycles < most ? powerOf(level, count / (2 * cycles), 0) : 0;
    return { cycles, score: power + 0.3 * second };
  });
  const top = scored.reduce((best, each) => (each.score > best.score ? each : best));
  let best = { length: count / top.cycles, growth: 0, power: 0 };
  for (const growth of GROWTHS) {
    for (let by = -0.04; by <= 0.04; by += 0.0025) {
      const length = (count / top.cycles) * (1 + by);
      const power = powerOf(level, length, growth);
      if (power > best.power) best = { length, growth, power };
    }
  }
  return { length: best.length, growth: best.growth, strength: best.power };
}

/** Share of the lines' own up and down that is this wave. */
function powerOf(lines: readonly Float32Array[], length: number, growth: number): number {
  let [power, all] = [0, 0];
  for (const line of lines) {
    const { amplitude } = waveAt(line, { length, growth });
    let squares = 0;
    for (const each of line) squares += each * each;
    power += (amplitude * amplitude * line.length) / 2;
    all += squares;
  }
  return all === 0 ? 0 : Math.min(1, power / all);
}

/** How far a line goes up and down with a wave, and where its crest lies, radians before the line's middle. */
export function waveAt(
  line: Float32Array,
  { length, growth }: Pick<Wave, 'length' | 'growth'>,
): { readonly amplitude: number; readonly phase: number } {
  const middle = (line.length - 1) / 2;
  let mean = 0;
  for (const each of line) mean += each / line.length;
  // The wave's own length changes in a straight line along the line: its phase is a parabola, gone along by turning a pointer
  // by a turn that turns itself. Thousands of these are asked for a picture, and sines are dear.
  const [first, second] = [(2 * Math.PI) / length, ((-2 * Math.PI) / length) * (growth / middle)];
  const begin = -middle * first * (1 + growth / 2);
  let c = Math.cos(begin);
  let s = Math.sin(begin);
  const step = first * (1 - (growth * (1 - 2 * middle)) / (2 * middle));
  let stepC = Math.cos(step);
  let stepS = Math.sin(step);
  const [turnC, turnS] = [Math.cos(second), Math.sin(second)];
  let east = 0;
  let south = 0;
  for (let i = 0; i < line.length; i++) {
    const value = (line[i] as number) - mean;
    east += value * c;
    south += value * s;
    const turned = c * stepC - s * stepS;
    s = c * stepS + s * stepC;
    c = turned;
    const stepped = stepC * turnC - stepS * turnS;
    stepS = stepC * turnS + stepS * turnC;
    stepC = stepped;
  }
  return { amplitude: (2 * Math.hypot(east, south)) / line.length, phase: Math.atan2(south, east) };
}

/** Without what changes slowly along it: a parabola. */
function levelled(line: Float32Array): Float32Array {
  const rows = Array.from(line, (value, i) => {
    const at = i / line.length - 0.5;
    return { factors: [1, at, at * at], value, weight: 1 };
  });
  const fit = leastSquares(rows, 3) ?? [0, 0, 0];
  return Float32Array.from(line, (value, i) => {
    const at = i / line.length - 0.5;
    return value - (fit[0] ?? 0) - (fit[1] ?? 0) * at - (fit[2] ?? 0) * at * at;
  });
}
