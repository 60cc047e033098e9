/** A worm as it is drawn: what was read of it, or what is usual. Lengths in mm. */
export interface WormShape {
  readonly tipMm: number;
  readonly rootMm: number;
  readonly pitchMm: number;
  readonly starts: number;
  readonly boreMm: number;
  readonly lengthMm: number;
  readonly hand: 'right' | 'left';
}

/** Half of the crest, as a share of the pitch: a 20° flank from a thread as thick as its gap (ISO 53 proportions). */
const crestShare = (depthMm: number, pitchMm: number) => Math.max(0.06, 0.25 - (0.44 * depthMm * Math.tan((20 * Math.PI) / 180)) / pitchMm);

/** Outline of a worm seen from the side, as polygon points; threads on the far edge stand half a lead further on. */
export function wormOutline(shape: WormShape, scale: number, middle: { x: number; y: number }): string {
  const over = edge(shape, 0).map(([x, r]) => [middle.x + x * scale, middle.y - r * scale] as const);
  const under = edge(shape, (shape.pitchMm * shape.starts) / 2).map(([x, r]) => [middle.x + x * scale, middle.y + r * scale] as const);
  return [...over, ...under.reverse()].map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ');
}

/** Distance along the axis and radius, from one end to the other. */
function edge({ tipMm, rootMm, pitchMm, lengthMm }: WormShape, offset: number): readonly (readonly [number, number])[] {
  const crest = crestShare((tipMm - rootMm) / 2, pitchMm) * pitchMm;
  const foot = pitchMm / 2 - crest;
  const profile: [number, number][] = [];
  const turns = Math.ceil(lengthMm / pitchMm / 2) + 1;
  for (let i = -turns; i <= turns; i++) {
    const at = i * pitchMm + (offset % pitchMm);
    profile.push([at - foot, rootMm / 2], [at - crest, tipMm / 2], [at + crest, tipMm / 2], [at + foot, rootMm / 2]);
  }
  const [start, end] = [-lengthMm / 2, lengthMm / 2];
  const radius = (x: number) => radiusAt(profile, x);
  return [[start, radius(start)], ...profile.filter(([x]) => x > start && x < end), [end, radius(end)]];
}

function radiusAt(profile: readonly (readonly [number, number])[], x: number): number {
  for (let i = 1; i < profile.length; i++) {
    const [[x0, r0], [x1, r1]] = [profile[i - 1] as [number, number], profile[i] as [number, number]];
    if (x >= x0 && x <= x1) return x1 === x0 ? r1 : r0 + ((r1 - r0) * (x - x0)) / (x1 - x0);
  }
  return profile[0]?.[1] ?? 0;
}
