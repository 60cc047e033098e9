/**
 * How well teeth are counted on photos: made-up gears in many lights, the camera leaning by up to 15°,
 * dirt, chipped and missing teeth, plastic on paper, steel on a bench, half of them through JPEG.
 *
 *   npm run bench:scan [-- PHOTOS]     (default 300)
 *
 * Baseline in the same run: bright runs counted on one circle half way up the teeth, which is given the
 * true centre and radius. Then the time for a photo of twelve megapixels.
 */
import { scanTeeth } from '@patient-badger/core/gear';
import jpeg from 'jpeg-js';
import { gearPhoto } from '../packages/core/src/scan/gearPhoto.ts';
import type { Picture } from '../packages/core/src/scan/picture.ts';
import { seeded } from '../packages/core/src/testing.ts';
import { drawScene } from './scanScenes.ts';

const PHOTOS = Number(process.argv[2] ?? 300);
const random = seeded(20261125);

/** As a phone would keep it: JPEG at a quality between 55 and 95. */
function throughJpeg({ width, height, rgba }: Picture): Picture {
  const bytes = jpeg.encode({ width, height, data: rgba }, Math.round(55 + 40 * random())).data;
  const { data } = jpeg.decode(bytes, { useTArray: true });
  return { width, height, rgba: data };
}

/** Runs over the middle level on one circle about the middle of the picture. */
function runsOnCircle({ width, height, rgba }: Picture, radius: number): number {
  const level = Array.from({ length: 2880 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 2880;
    const [x, y] = [Math.round(width / 2 + radius * Math.cos(angle)), Math.round(height / 2 + radius * Math.sin(angle))];
    const at = 4 * (Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x)));
    return (rgba[at] as number) + (rgba[at + 1] as number) + (rgba[at + 2] as number);
  });
  const middle = (Math.max(...level) + Math.min(...level)) / 2;
  return level.filter((each, i) => each > middle && (level[(i + 2879) % 2880] as number) <= middle).length;
}

let [accepted, right, refused, flawsRight, simple] = [0, 0, 0, 0, 0];
const reasons = new Map<string, number>();
for (let i = 0; i < PHOTOS; i++) {
  const scene = drawScene(random);
  const plain = gearPhoto(scene);
  const photo = i % 2 === 0 ? plain : throughJpeg(plain);
  const found = scanTeeth(photo);
  const tip = (Math.min(photo.width, photo.height) / 2) * (scene.fill ?? 0.8);
  if (runsOnCircle(photo, tip * (1 - 2 / (scene.teeth + 2))) === scene.teeth - scene.missing.length) simple++;
  if (!found.read) {
    refused++;
    reasons.set(found.reason, (reasons.get(found.reason) ?? 0) + 1);
    continue;
  }
  accepted++;
  if (found.teeth !== scene.teeth) continue;
  right++;
  if (found.teethPresent === scene.teeth - scene.missing.length) flawsRight++;
}
const share = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`;
console.table({
  'scan.teeth': {
    'count right of accepted': share(right, accepted),
    refused: share(refused, PHOTOS),
    'missing teeth right too': share(flawsRight, accepted),
  },
  'runs on one circle': { 'count right of accepted': share(simple, PHOTOS), refused: '', 'missing teeth right too': '' },
});
console.log(`${PHOTOS} photos; to reach: 98 % right, 3 % refused. Refused for: ${JSON.stringify(Object.fromEntries(reasons))}`);

const large = gearPhoto({ teeth: 41, missing: [5], random, width: 4000, height: 3000, tiltDeg: 8, specks: 30, blots: 2 });
const times = Array.from({ length: 5 }, () => {
  const start = performance.now();
  scanTeeth(large);
  return performance.now() - start;
}).sort((p, q) => p - q);
console.log(`12 Mpx: median ${Math.round(times[2] ?? 0)} ms, worst ${Math.round(times[4] ?? 0)} ms (to reach: 1500)`);
