import { seeded } from '../testing.ts';
import { gearPhoto } from './gearPhoto.ts';

const photo = (more: object) =>
  gearPhoto({ teeth: 24, random: seeded(5), width: 240, noise: 0, unevenness: 0, shadow: 0, grain: 0, fill: 0.8, ...more });

/** Share of the pixels that are as bright as the steel. */
function steel({ width, height, rgba }: ReturnType<typeof gearPhoto>): number {
  let lit = 0;
  for (let i = 0; i < width * height; i++) if ((rgba[4 * i + 2] as number) > 115) lit++;
  return lit / (width * height);
}

test('a tooth that is gone takes its area away, and a chipped one half of it', () => {
  const whole = steel(photo({}));
  const lost = (more: object) => whole - steel(photo(more));
  expect(lost({ missing: [3] })).toBeGreaterThan(0);
  expect(lost({ missing: [3, 9, 17] }) / lost({ missing: [3] })).toBeCloseTo(3, 0);
  expect(lost({ chipped: [3] }) / lost({ missing: [3] })).toBeGreaterThan(0.2);
  expect(lost({ chipped: [3] }) / lost({ missing: [3] })).toBeLessThan(0.7);
});

test('a leaning camera sees the face foreshortened', () => {
  const [upright, leaning] = [steel(photo({ thickness: 0.01 })), steel(photo({ thickness: 0.01, tiltDeg: 25 }))];
  expect(leaning / upright).toBeCloseTo(Math.cos((25 * Math.PI) / 180), 1);
});

test('the same chance makes the same photo', () => {
  expect([...photo({ noise: 9, width: 60, random: seeded(8) }).rgba]).toEqual([...photo({ noise: 9, width: 60, random: seeded(8) }).rgba]);
});
