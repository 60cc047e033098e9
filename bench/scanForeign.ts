/**
 * Teeth counted on scenes drawn by another hand: silhouettes of public icon packages, laid on generated
 * grounds, leaned, lit and blurred by the browser's own renderer and kept as JPEG; and the same of things
 * that are no gears.
 *
 *   npm run bench:scan-foreign [-- SCENES]     (default 340 gears, 200 others)
 *
 * Baseline in the same run: a plain polar unwrap about the middle of the largest dark or light patch.
 */
import { createRequire } from 'node:module';
import { scanTeeth } from '@patient-badger/core/gear';
import jpeg from 'jpeg-js';
import { chromium } from 'playwright-core';
import { CHROMIUM } from '../e2e/stage.ts';
import type { Picture } from '../packages/core/src/scan/picture.ts';
import { seeded } from '../packages/core/src/testing.ts';

const SCENES = Number(process.argv[2] ?? 340);
const [WIDTH, HEIGHT] = [900, 700];
const MOST_LEAN = 35;

/** Gears of the packages, teeth counted by eye. */
const GEARS: Readonly<Record<string, number>> = {
  'bi/gear-fill': 8,
  'bi/gear-wide': 12,
  'ion/cog-sharp': 18,
  'ion/ios-gear': 8,
  'ion/md-cog': 12,
  'ion/md-settings': 6,
  'ion/settings-sharp': 6,
  'clarity/cog-solid': 8,
  'eos-icons/rotating-gear': 6,
  'foundation/widget': 8,
  'ooui/settings': 8,
  'jam/cog-f': 10,
  'octicon/gear': 8,
  'zondicons/cog': 8,
  'vaadin/cog': 8,
  'icon-park-solid/setting': 8,
  'fontisto/player-settings': 8,
};
const OTHERS = [
  'ion/asterisk',
  'ion/star',
  'ion/heart',
  'ion/leaf',
  'ion/close-round',
  'ion/ios-snow',
  'ion/dice-sharp',
  'ion/aperture-sharp',
  'bi/asterisk',
  'bi/star-fill',
  'bi/plus-lg',
  'bi/x-lg',
  'bi/dice-5-fill',
  'bi/dice-6-fill',
  'bi/hexagon-fill',
  'bi/octagon-fill',
  'bi/heart-fill',
  'bi/snow',
  'bi/flower1',
  'bi/fan',
  'jam/snowflake',
  'jam/star',
  'foundation/asterisk',
  'foundation/sheriff-badge',
  'vaadin/asterisk',
  'vaadin/puzzle-piece',
  'octicon/plus-24',
  'fontisto/snowflake-3',
  'clarity/asterisk-solid',
  'bi/puzzle-fill',
];

interface IconSet {
  readonly width?: number;
  readonly height?: number;
  readonly icons: Readonly<Record<string, { body: string; left?: number; top?: number; width?: number; height?: number }>>;
}
const require = createRequire(import.meta.url);

function svgOf(id: string): string {
  const [set = '', name = ''] = id.split('/');
  const { icons, width = 16, height = 16 } = require(`@iconify-json/${set}/icons.json`) as IconSet;
  const icon = icons[name];
  if (!icon) throw new Error(`no icon ${id}`);
  return `<svg viewBox="${icon.left ?? 0} ${icon.top ?? 0} ${icon.width ?? width} ${icon.height ?? height}" width="100%" height="100%">${icon.body}</svg>`;
}

const random = seeded(20261126);
const between = (low: number, high: number) => low + (high - low) * random();
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

/** Grounds and metals that stand apart as a bench and a gear do. */
const COLOURS = [
  ['#e8e2d4', '#5b5f66'],
  ['#caa472', '#3c4046'],
  ['#3d4a44', '#c9ccd0'],
  ['#2b2f36', '#d8b45a'],
  ['#b9bec4', '#33363b'],
  ['#7d5a3c', '#e3e4e2'],
] as const;

function sceneOf(id: string): string {
  const [ground, metal] = pick(COLOURS);
  const size = between(300, 480);
  const lean = between(0, MOST_LEAN);
  const grain = `<filter id="g"><feTurbulence type="fractalNoise" baseFrequency="${between(0.004, 0.05)} ${between(0.02, 0.4)}" numOctaves="4" seed="${Math.floor(random() * 999)}"/><feColorMatrix values="0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 ${between(0.1, 0.45)} 0"/></filter>`;
  return `<style>body{margin:0;background:${ground};overflow:hidden}div{position:absolute}</style>
<svg style="position:absolute" width="${WIDTH}" height="${HEIGHT}">${grain}<rect width="100%" height="100%" filter="url(#g)"/></svg>
<div style="inset:0;background:linear-gradient(${between(0, 360)}deg,rgba(255,255,255,${between(0, 0.25)}),rgba(0,0,0,${between(0, 0.25)}))"></div>
<div style="left:${WIDTH / 2 + between(-60, 60) - size / 2}px;top:${HEIGHT / 2 + between(-40, 40) - size / 2}px;width:${size}px;height:${size}px;perspective:${between(4, 8) * size}px">
<div style="inset:0;color:${metal};filter:drop-shadow(${between(-6, 6)}px ${between(-6, 6)}px ${between(2, 6)}px rgba(0,0,0,.5)) blur(${between(0, 1.1)}px);transform:rotateZ(${between(0, 360)}deg) rotateX(${lean}deg) rotateZ(${between(0, 360)}deg)">${svgOf(id)}</div></div>`;
}

/** Crossings of the rim's middle on rays about the centre of what differs most from the border. */
function unwrapped({ width, height, rgba }: Picture): number {
  const light = Float32Array.from(
    { length: width * height },
    (_, i) => (rgba[4 * i] ?? 0) + (rgba[4 * i + 1] ?? 0) + (rgba[4 * i + 2] ?? 0),
  );
  let [border, count] = [0, 0];
  for (let x = 0; x < width; x++) [border, count] = [border + (light[x] ?? 0) + (light[(height - 1) * width + x] ?? 0), count + 2];
  border /= count;
  const off = light.map((each) => Math.abs(each - border));
  const level = 0.5 * off.reduce((most, each) => Math.max(most, each), 0);
  let [sum, east, south] = [0, 0, 0];
  off.forEach((each, i) => {
    if (each > level) [sum, east, south] = [sum + 1, east + (i % width), south + Math.floor(i / width)];
  });
  const [x, y] = [east / sum, south / sum];
  const reach = Array.from({ length: 720 }, (_, ray) => {
    const [cos, sin] = [Math.cos((ray * Math.PI) / 360), Math.sin((ray * Math.PI) / 360)];
    let far = 0;
    for (let r = 0; r < width / 2; r++) {
      const [px, py] = [Math.round(x + r * cos), Math.round(y + r * sin)];
      if (px >= 0 && py >= 0 && px < width && py < height && (off[py * width + px] ?? 0) > level) far = r;
    }
    return far;
  });
  const sorted = [...reach].sort((p, q) => p - q);
  const middle = ((sorted[72] ?? 0) + (sorted[648] ?? 0)) / 2;
  return reach.filter((each, i) => each > middle && (reach[(i + 719) % 720] ?? 0) <= middle).length;
}

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: WIDTH, height: HEIGHT } });
async function photoOf(id: string): Promise<Picture> {
  await page.setContent(sceneOf(id));
  const { data, width, height } = jpeg.decode(await page.screenshot({ type: 'jpeg', quality: Math.round(between(60, 95)) }), {
    useTArray: true,
  });
  return { width, height, rgba: data };
}

const tally = { taken: 0, right: 0, plain: 0 };
const missed = new Map<string, number>();
const note = (what: string) => missed.set(what, (missed.get(what) ?? 0) + 1);
const gears = Object.entries(GEARS);
for (let i = 0; i < SCENES; i++) {
  const [id, teeth] = gears[i % gears.length] as [string, number];
  const photo = await photoOf(id);
  if (unwrapped(photo) === teeth) tally.plain++;
  const found = scanTeeth(photo);
  if (!found.read) {
    note(`${id} refused: ${found.reason}`);
    continue;
  }
  tally.taken++;
  if (found.teeth === teeth) tally.right++;
  else note(`${id} read as ${found.teeth}`);
}
let wrong = 0;
const others = OTHERS.length * Math.ceil((0.6 * SCENES) / OTHERS.length);
for (let i = 0; i < others; i++) {
  const id = OTHERS[i % OTHERS.length] as string;
  const found = scanTeeth(await photoOf(id));
  if (!found.read) continue;
  wrong++;
  note(`${id} read as a gear of ${found.teeth}, ${found.confidence.toFixed(2)}`);
}
await browser.close();
const share = (part: number, of: number) => `${((100 * part) / of).toFixed(1)} %`;
console.log(
  `${SCENES} gears leaning up to ${MOST_LEAN}°: ${share(tally.taken, SCENES)} taken (to reach 95), of those ${share(tally.right, tally.taken)} right (98); plain polar unwrap right ${share(tally.plain, SCENES)}`,
);
console.log(`${others} pictures without a gear: ${share(wrong, others)} read as one (to reach 1)`);
for (const [what, count] of [...missed].sort(([, p], [, q]) => q - p)) console.log(`  ${count} × ${what}`);
if (tally.taken < 0.95 * SCENES || tally.right < 0.98 * tally.taken || wrong > 0.01 * others) process.exitCode = 1;
