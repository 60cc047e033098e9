import { gearOutline } from '../packages/core/src/gear/cylindrical/outline.ts';
import { cutOf } from '../packages/core/src/gear/cylindrical/profile.ts';
import { cylindricalInput } from '../packages/core/src/gear/cylindrical/schema.ts';
import { fileInput, gearFile } from '../packages/core/src/make/file.ts';
import { gearOutlineToMake, outlineInput } from '../packages/core/src/make/outline.ts';

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
