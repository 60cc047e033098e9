/** A stretch along a line, in samples: its first, and the one behind its last. */
export interface Run {
  readonly from: number;
  readonly to: number;
}

/** The longest stretch over a level: its first place, and the one behind its last. */
export function longestRun(values: ArrayLike<number>, level: number): Run {
  let best = { from: 0, to: 0 };
  let from = -1;
  for (let i = 0; i <= values.length; i++) {
    const isUp = i < values.length && (values[i] as number) > level;
    if (isUp && from < 0) from = i;
    if (isUp || from < 0) continue;
    if (i - from > best.to - best.from) best = { from, to: i };
    from = -1;
  }
  return best;
}
