import fc from 'fast-check';
import { gamma } from '../inference/gamma.ts';
import { optionsInput, rankOptions } from './options.ts';
import { meanUpTo, quantile, weibullOf } from '../inference/weibull.ts';
import { worthInput, worthOfLooks } from './worth.ts';

/** Abramowitz and Stegun, Handbook of Mathematical Functions, table 6.1. */
test.each([
  [1, 1],
  [1.1, 0.951_350_769_9],
  [1.25, 0.906_402_477_1],
  [1.5, 0.886_226_925_5],
  [1.75, 0.919_062_526_8],
  [2, 1],
  [5, 24],
])('Γ(%d) is the printed %d', (x, printed) => expect(gamma(x)).toBeCloseTo(printed, 9));

test('a life has the mean it was made from, and half of it the median', () => {
  for (const shape of [0.5, 1, 2, 3.5, 8]) {
    const life = weibullOf(7, shape);
    expect(meanUpTo(life, undefined)).toBeCloseTo(7, 9);
    expect(meanUpTo(life, 7e4)).toBeCloseTo(7, 4);
    expect(Math.exp(-((quantile(life, 0.5) / life.scale) ** shape))).toBeCloseTo(0.5, 12);
  }
});

test('cut off at a horizon it is the area below the curve of those that live, by a plain sum', () => {
  for (const [shape, horizon] of [
    [0.6, 3],
    [1, 5],
    [2, 9],
    [6, 8],
  ] as const) {
    const life = weibullOf(7, shape);
    const pieces = 200_000;
    let sum = 0;
    for (let i = 0; i < pieces; i++) sum += Math.exp(-((((i + 0.5) * horizon) / pieces / life.scale) ** shape));
    expect(meanUpTo(life, horizon)).toBeCloseTo((sum * horizon) / pieces, 4);
  }
});

const option = fc.record({
  partsMinor: fc.integer({ min: 0, max: 50_000 }),
  minutes: fc.integer({ min: 1, max: 600 }),
  comeBackRisk: fc.double({ min: 0, max: 1, noNaN: true }),
  downtimeDays: fc.integer({ min: 0, max: 20 }),
  life: fc.record({ mean: fc.double({ min: 1, max: 5000, noNaN: true }), shape: fc.double({ min: 0.5, max: 6, noNaN: true }) }),
});
const rank = (options: readonly object[], more: object = {}) =>
  rankOptions(
    optionsInput.parse({
      options: options.map((each, i) => ({ id: `o${i}`, kind: 'replace', ...each })),
      use: { perYear: 100, unit: 'hours' },
      rateMinorPerHour: 6000,
      costPerDownDayMinor: 500,
      ...more,
    }),
  ).ranked;

test('an option that is dearer, slower, riskier and lives no longer is never first', () => {
  fc.assert(
    fc.property(
      option,
      fc.integer({ min: 1, max: 9000 }),
      fc.option(fc.double({ min: 0.1, max: 30, noNaN: true })),
      (better, more, horizon) => {
        const worse = { ...better, partsMinor: better.partsMinor + more, life: { ...better.life, mean: better.life.mean / 1.2 } };
        const ranked = rank([worse, better], horizon === null ? {} : { horizonYears: horizon });
        expect(ranked[0]?.id).toBe('o1');
      },
    ),
  );
});

test('an early end is dearer a year than a late one, and no life outlasts the horizon', () => {
  fc.assert(
    fc.property(option, (one) => {
      const [found] = rank([one], { horizonYears: 5 });
      expect(found?.years10).toBeLessThanOrEqual(found?.years90 ?? 0);
      expect(found?.years90).toBeLessThanOrEqual(5);
      expect(found?.expectedYears).toBeLessThanOrEqual(5);
      expect(found?.costPerYear10Minor).toBeGreaterThanOrEqual(found?.costPerYear90Minor ?? Infinity);
    }),
  );
});

test('who drives little keeps the worn gearbox, who drives much has it overhauled', () => {
  const options = [
    { partsMinor: 12_000, minutes: 240, life: { mean: 12_000, shape: 2 } },
    { partsMinor: 90_000, minutes: 300, life: { mean: 80_000, shape: 3 } },
  ];
  const first = (perYear: number) => rank(options, { use: { perYear, unit: 'km' }, horizonYears: 8 })[0]?.id;
  expect([first(600), first(15_000)]).toEqual(['o0', 'o1']);
});

const suspects = [
  { fault: 'a', probability: 0.5, actMinor: 1000, wrongMinor: 5000 },
  { fault: 'b', probability: 0.5, actMinor: 1000, wrongMinor: 5000 },
];
const looks = (chance: number, minutes: number) =>
  worthOfLooks(
    worthInput.parse({
      suspects,
      rateMinorPerHour: 6000,
      looks: [
        {
          look: 'l',
          minutes,
          results: [
            { result: 'x', likelihood: { a: chance, b: 1 - chance } },
            { result: 'y', likelihood: { a: 1 - chance, b: chance } },
          ],
        },
      ],
    }),
  ).looks[0];

test('a look never makes acting dearer; the more it tells the more it saves; its minutes decide', () => {
  const saves = [0.5, 0.7, 0.9, 1].map((chance) => looks(chance, 0)?.savesMinor ?? NaN);
  expect(saves[0]).toBeCloseTo(0, 9);
  expect([...saves].sort((p, q) => p - q)).toEqual(saves);
  expect([looks(0.9, 5)?.worthIt, looks(0.9, 60)?.worthIt]).toEqual([true, false]);
});

test('results whose chances do not sum to one, and suspects that are all out, are refused', () => {
  expect(() =>
    worthOfLooks(
      worthInput.parse({
        suspects,
        rateMinorPerHour: 1,
        looks: [{ look: 'l', minutes: 1, results: [{ result: 'x', likelihood: { a: 1, b: 0.4 } }] }],
      }),
    ),
  ).toThrow();
  const out = suspects.map((each) => ({ ...each, probability: 0 }));
  expect(() => worthOfLooks(worthInput.parse({ suspects: out, rateMinorPerHour: 1, looks: [] }))).toThrow();
});
