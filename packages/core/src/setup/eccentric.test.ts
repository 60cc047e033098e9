import { gaussian, seeded } from '../testing.ts';
import { eccentricInput, eccentricSleeve } from './eccentric.ts';

test('two trials and a known sleeve: what the next angle shows lies about what is wanted as far as is said', () => {
  const random = seeded(11);
  const [eccentricityMm, mean, loosest, wantedMm] = [0.4, 0.35, 40, 0.3];
  const amplitude = 2 * eccentricityMm * Math.tan((20 * Math.PI) / 180);
  const truly = (deg: number) => mean + amplitude * Math.cos(((deg - loosest) * Math.PI) / 180);
  const errors: number[] = [];
  const said: number[] = [];
  for (let i = 0; i < 400; i++) {
    const trials = [0, 100].map((sleeveDeg) => ({
      sleeveDeg,
      backlashMm: { value: truly(sleeveDeg) + 0.01 * gaussian(random), plusMinus: 0.01 },
    }));
    const { next } = eccentricSleeve(eccentricInput.parse({ trials, wantedMm, eccentricityMm }));
    if (!next) continue;
    errors.push(truly(next.sleeveDeg) - wantedMm);
    said.push(next.backlashMm.plusMinus);
  }
  const sd = Math.sqrt(errors.reduce((sum, off) => sum + off * off, 0) / errors.length);
  const usual = said.reduce((sum, each) => sum + each, 0) / said.length;
  expect(errors.length).toBeGreaterThan(350);
  expect(usual / sd).toBeGreaterThan(0.8);
  expect(usual / sd).toBeLessThan(1.25);
});
