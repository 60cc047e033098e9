import fc from 'fast-check';
import { seeded } from '../quantity/seeded.ts';

/** Small pictures of all kinds: one colour, noise, stripes, rings with teeth and without, some with too few pixels. */
export const pictures: fc.Arbitrary<unknown> = fc
  .record({
    width: fc.integer({ min: 120, max: 200 }),
    height: fc.integer({ min: 120, max: 200 }),
    kind: fc.constantFrom('flat', 'noise', 'stripes', 'teeth', 'short'),
    seed: fc.nat(),
    waves: fc.integer({ min: 0, max: 60 }),
    scale: fc.option(fc.record({ from: point(), to: point(), lengthMm: fc.double({ min: 0.001, max: 2000, noNaN: true }) }), {
      nil: undefined,
    }),
    correction: fc.option(
      fc.record(
        { centre: point(), tipRadiusPx: fc.double({ min: 0.1, max: 20_000, noNaN: true }), teeth: fc.integer({ min: 4, max: 500 }) },
        { requiredKeys: [] },
      ),
      { nil: undefined },
    ),
  })
  .map(({ kind, seed, waves, width, height, scale, correction }) => ({
    width,
    height,
    rgba: pixels({ kind, seed, waves, width, height }),
    ...(scale && { scale }),
    ...(correction && { correction }),
  }));

function point() {
  const px = fc.oneof(fc.integer({ min: -20_000, max: 20_000 }), fc.integer({ min: 0, max: 200 }));
  return fc.record({ xPx: px, yPx: px });
}

interface PictureSpec {
  readonly kind: string;
  readonly seed: number;
  readonly waves: number;
  readonly width: number;
  readonly height: number;
}

function pixels({ kind, seed, waves, width, height }: PictureSpec): Uint8ClampedArray {
  const random = seeded(seed);
  const list = new Uint8ClampedArray(width * height * 4 - (kind === 'short' ? 4 : 0));
  const [ground, metal] = [255 * random(), 255 * random()];
  for (let i = 0; i * 4 < list.length; i++) {
    const [x, y] = [(i % width) - width / 2, Math.floor(i / width) - height / 2];
    const radius = Math.hypot(x, y) / (0.4 * Math.min(width, height));
    const rim = 1 - 0.1 * Math.max(0, Math.sign(Math.cos(waves * Math.atan2(y, x))));
    const light = { noise: 255 * random(), stripes: i % 7 < 3 ? ground : metal, teeth: radius < rim ? metal : ground }[kind] ?? ground;
    list.fill(light, i * 4, i * 4 + 3);
    list[i * 4 + 3] = 255;
  }
  return list;
}
