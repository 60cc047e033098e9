import { gearOutline } from '../packages/core/src/gear/cylindrical/outline.ts';
import { cutOf } from '../packages/core/src/gear/cylindrical/profile.ts';
import { cylindricalInput } from '../packages/core/src/gear/cylindrical/schema.ts';
import { fileInput, gearFile, gearSolid } from '../packages/core/src/make/file.ts';
import { bevelGeometry, bevelPart } from '../packages/core/src/make/bevelSolid.ts';
import { gearOutlineToMake, outlineInput } from '../packages/core/src/make/outline.ts';
import { makePair, pairInput } from '../packages/core/src/make/pair.ts';

/** A gear of 60 teeth to 5 µm, and its files: against the outline that the screens draw, which is no closer than they can show. */
const gear = { teeth: 60, normalModuleMm: 1 };
const bore = { shape: 'key', sizeMm: 12, keyWidthMm: 4, keyDepthMm: 1.8 };
const drawn = outlineInput.parse({ gear, bore });
const input = fileInput.parse({
  gear,
  bore,
  faceWidthMm: 10,
  format: 'stl',
  family: 'none',
});
const cut = cutOf({ ...cylindricalInput.parse(gear), normalModuleMm: 1 });

function median(work: () => unknown, times = 21): number {
  const took = Array.from({ length: times }, () => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  }).sort((p, q) => p - q);
  return took[Math.floor(times / 2)] ?? NaN;
}

const base = median(() => gearOutline(cut));
const { outline, deviationMm } = gearOutlineToMake(drawn);
const rows = [
  ['outline on screen (baseline)', base, '-'],
  [`outline to ${(1000 * deviationMm).toFixed(1)} µm, ${outline.length} points`, median(() => gearOutlineToMake(drawn)), '300'],
  ...(['svg', 'dxf', 'stl', '3mf'] as const).map(
    (format) => [`file ${format}`, median(() => gearFile({ ...input, format })), format === 'stl' ? '1000' : '-'] as const,
  ),
] as const;
console.log('| what | ms (median) | times the baseline | at most, ms |\n| --- | ---: | ---: | ---: |');
for (const [name, ms, most] of rows) console.log(`| ${name} | ${ms.toFixed(2)} | ${(ms / base).toFixed(1)} | ${most} |`);

/** The kinds that are bodies: how long one takes, against the flat gear drawn up, and what a pair of them does. */
const THREAD = { starts: 1, axialModuleMm: 2, diameterQuotient: 10, profile: 'ZI', hand: 'right' };
const WORM = { kind: 'worm', ...THREAD, lengthMm: 40 };
const WHEEL = { kind: 'wormWheel', worm: THREAD, wheelTeeth: 40, faceWidthMm: 16, form: 'throated', backlashMm: 0.1 };
const BEVEL = { kind: 'bevel', pinionTeeth: 20, wheelTeeth: 40, outerModuleMm: 3, faceWidthMm: 15 };
const solidOf = (part: object) => gearSolid(fileInput.parse({ part, bore: { shape: 'round', sizeMm: 8 }, format: 'stl', family: 'none' }));
const flatMs = median(() => gearSolid(input), 5);
console.log('\n| body | triangles | ms (median) | times the flat gear | at most, ms |\n| --- | ---: | ---: | ---: | ---: |');
for (const [name, part, most] of [
  ['worm of one start', WORM, '-'],
  ['its wheel of 40 teeth', WHEEL, '5000'],
  ['bevel of 20 teeth', { ...BEVEL, member: 'pinion' }, '-'],
] as const) {
  const ms = median(() => solidOf(part), 5);
  console.log(`| ${name} | ${solidOf(part).triangles.length} | ${ms.toFixed(0)} | ${(ms / flatMs).toFixed(1)} | ${most} |`);
}
console.log('\n| pair | ms (median) | backlash, mm | interference, mm | bears |\n| --- | ---: | ---: | ---: | ---: |');
for (const [name, a, b] of [
  ['worm and wheel', WORM, WHEEL],
  ['bevels', { ...BEVEL, member: 'pinion' }, { ...BEVEL, member: 'wheel' }],
] as const) {
  const question = pairInput.parse({ family: 'none', a, b });
  const ms = median(() => makePair(question), 5);
  const { backlashMm, interferenceMm, contactShare } = makePair(question);
  console.log(
    `| ${name} | ${ms.toFixed(0)} | ${backlashMm.toFixed(4)} | ${interferenceMm.toFixed(4)} | ${(100 * contactShare).toFixed(0)} % |`,
  );
}

/** Tredgold’s gear on the back cone beside the spherical involute, at the tip, where they are furthest apart. */
for (const pinionTeeth of [12, 20, 30]) {
  const { pitchCone, faceCone, outerMm, halfAngleAt } = bevelGeometry(bevelPart.parse({ ...BEVEL, member: 'pinion', pinionTeeth }));
  const inv = (angle: number) => Math.tan(angle) - angle;
  const alpha = Math.PI / 9;
  const virtual = pinionTeeth / Math.cos(pitchCone);
  const [r, tip] = [1.5 * virtual, 1.5 * virtual + outerMm * Math.tan(faceCone - pitchCone)];
  const tredgold = tip * (Math.PI / (2 * virtual) + inv(alpha) - inv(Math.acos((r * Math.cos(alpha)) / tip)));
  const exact = (outerMm / Math.cos(faceCone - pitchCone)) * Math.sin(faceCone) * halfAngleAt(faceCone);
  console.log(`Tredgold, ${pinionTeeth}/40 teeth of module 3: half a tip is ${(1000 * (exact - tredgold)).toFixed(1)} µm wider`);
}
