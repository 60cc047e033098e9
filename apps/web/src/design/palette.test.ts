import { readFileSync } from 'fs';
import { join } from 'path';
import { DARK, LIGHT } from './useColours.ts';

const css = readFileSync(join(process.cwd(), 'apps/web/global.css'), 'utf8');

function variables(selector: string): Record<string, string> {
  const block = css.slice(css.indexOf(`${selector} {`)).split('}')[0] ?? '';
  return Object.fromEntries([...block.matchAll(/--(\w+): (\d+) (\d+) (\d+);/g)].map(([, name, ...rgb]) => [name, hex(rgb.map(Number))]));
}

const hex = (rgb: readonly number[]) => `#${rgb.map((each) => each.toString(16).padStart(2, '0')).join('')}`.toUpperCase();

/** Relative luminance and contrast ratio, WCAG 2.2. */
function contrast(one: string, other: string): number {
  const [light, dark] = [luminance(one), luminance(other)].sort((p, q) => q - p) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

function luminance(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const share = parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

describe.each([
  [':root', LIGHT],
  ['.dark', DARK],
] as const)('%s', (selector, colours) => {
  test('drawings and class names have the same colours', () => {
    const named = variables(selector);
    for (const [name, value] of Object.entries(colours)) expect([name, named[name]]).toEqual([name, value.toUpperCase()]);
  });

  test('numbers reach 7:1 and words 4.5:1 on everything they stand on', () => {
    for (const ground of [colours.paper, colours.surface, colours.sunken]) {
      expect(contrast(colours.ink, ground)).toBeGreaterThanOrEqual(7);
      for (const word of [colours.soft, colours.accent, colours.danger, colours.good])
        expect(contrast(word, ground)).toBeGreaterThanOrEqual(4.5);
    }
    for (const ground of [colours.paper, colours.surface]) expect(contrast(colours.heat, ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(colours.onaccent, colours.accent)).toBeGreaterThanOrEqual(4.5);
  });
});
