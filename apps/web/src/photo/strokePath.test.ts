import { strokePath } from './strokePath.ts';

const numbers = (path: string) => [...path.matchAll(/-?\d+\.\d/g)].map(([each]) => Number(each));

test('a line becomes a closed outline about where it was drawn, whatever the size of the picture', () => {
  for (const width of [100, 400]) {
    const path = strokePath(
      [
        [0.1, 0.5],
        [0.3, 0.5],
        [0.6, 0.5],
        [0.9, 0.5],
      ],
      width,
      width / 2,
    );
    expect(path).toMatch(/^M.*Z$/);
    const xs = numbers(path).filter((_, i) => i % 2 === 0);
    expect(Math.min(...xs)).toBeGreaterThan(-0.1 * width);
    expect(Math.max(...xs)).toBeLessThan(1.1 * width);
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(0.4 * width);
  }
});

test('a touch is a dot, nothing drawn is nothing', () => {
  expect(strokePath([[0.5, 0.5]], 100, 100)).toMatch(/^M/);
  expect(strokePath([], 100, 100)).toBe('');
});
