import type { Scene } from '../packages/core/src/scan/gearPhoto.ts';

type Colour = readonly [number, number, number];

/** What lies on what: pairs a mechanic can tell apart by eye. */
const PAIRS: readonly (readonly [metal: Colour, bench: Colour, grain: number])[] = [
  [[172, 170, 164], [116, 86, 58], 0.1],
  [[104, 102, 100], [150, 118, 84], 0.1],
  [[176, 178, 180], [92, 96, 100], 0.04],
  [[70, 70, 76], [160, 166, 172], 0.04],
  [[196, 158, 88], [96, 92, 88], 0.06],
  [[46, 46, 50], [226, 224, 216], 0.01],
  [[214, 60, 44], [228, 226, 220], 0.01],
  [[236, 196, 48], [222, 222, 220], 0.01],
  [[224, 220, 206], [62, 92, 70], 0.03],
  [[232, 228, 216], [124, 88, 56], 0.1],
  [[58, 92, 156], [230, 228, 224], 0.01],
];

/** A random made-up photo: lights, lean to 15°, dirt, chipped and missing teeth, plastic on paper, steel on a bench. */
export function drawScene(random: () => number): Scene & { readonly teeth: number; readonly missing: readonly number[] } {
  const between = (low: number, high: number) => low + (high - low) * random();
  const teeth = Math.round(between(10, 64));
  const [metal, bench, grain] = PAIRS[Math.floor(random() * PAIRS.length)] as (typeof PAIRS)[number];
  const broken = random() < 0.5 ? 0 : Math.floor(between(1, Math.max(2, teeth * 0.2)));
  const from = Math.floor(random() * teeth);
  const run = random() < 0.6;
  const missing = Array.from({ length: broken }, (_, i) => (run ? (from + i) % teeth : Math.floor(random() * teeth)));
  const chipped = Array.from({ length: random() < 0.4 ? Math.floor(between(1, 4)) : 0 }, () => Math.floor(random() * teeth));
  const [width, height] = random() < 0.5 ? [900, 680] : [680, 900];
  return {
    teeth,
    missing: [...new Set(missing)],
    chipped,
    random,
    width,
    height,
    metal,
    bench,
    grain,
    tiltDeg: between(0, 15),
    tiltTowardsDeg: between(0, 360),
    thickness: between(0.08, 0.25),
    blots: Math.floor(between(0, 6)),
    specks: Math.floor(between(0, 40)),
    noise: between(3, 12),
    unevenness: between(0, 0.5),
    shadow: between(0, 0.45),
    fill: between(0.5, 0.82),
    turnedDeg: between(0, 360),
    holes: random() < 0.4 ? Math.floor(between(3, 7)) : 0,
  };
}
