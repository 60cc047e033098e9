import { seeded } from '../testing.ts';
import { gearPhoto } from './gearPhoto.ts';

/** Bright runs on a circle between root and tip: the teeth that are there. */
function bright({ width, rgba }: ReturnType<typeof gearPhoto>): number {
  const samples = Array.from({ length: 3600 }, (_, i) => {
    const angle = (i / 3600) * 2 * Math.PI;
    const x = Math.round(width / 2 + 0.74 * (width / 2) * Math.sin(angle));
    const y = Math.round(width / 2 - 0.74 * (width / 2) * Math.cos(angle));
    return (rgba[4 * (y * width + x) + 2] as number) > 95;
  });
  return samples.filter((lit, i) => lit && !samples[(i + 3599) % 3600]).length;
}

test.each([
  [18, []],
  [31, [3, 4]],
  [24, [0, 12, 23]],
])('%i teeth of which %j are gone', (teeth, missing) =>
  expect(bright(gearPhoto({ teeth, missing, random: seeded(teeth) }))).toBe(teeth - missing.length),
);
