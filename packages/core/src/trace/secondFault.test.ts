import { findFamily } from '@patient-badger/knowledge';
import { NOTHING_ELSE } from './hypotheses.ts';
import { traceNext } from './next.ts';
import type { Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { traceInput } from './schema.ts';

const pack = findFamily('auger-gearbox') as Pack;
const ask = (more: object) => traceNext(traceInput.parse({ family: pack.id, ...more }), pack);
const chance = (output: ReturnType<typeof ask>, id: string) => output.suspects.find(({ fault }) => fault === id)?.probability ?? 0;

test('what was found is no suspect any more, and "nothing else" is weighed', () => {
  const output = ask({ found: ['left-pin'] });
  expect(output.suspects.map(({ fault }) => fault)).not.toContain('left-pin');
  const sum = output.suspects.reduce((total, { probability }) => total + probability, output.noneOfTheseProbability);
  expect(sum + (output.nothingElseProbability ?? 0)).toBeCloseTo(1, 9);
  expect(output.nothingElseProbability).toBeGreaterThan(0.5);
});

test('looks the first fault explains do not accuse a second', () => {
  const observations = [{ look: 'impeller-watch-halves', result: 'still-turns' }];
  const alone = ask({ observations });
  const after = ask({ observations, found: ['left-pin'] });
  expect(alone.suspects[0]?.fault).toBe('left-pin');
  const before = ask({ found: ['left-pin'] }).nothingElseProbability ?? 0;
  expect(after.nothingElseProbability).toBeGreaterThan(before);
});

test('looks the first fault does not explain do', () => {
  const observations = [
    { look: 'impeller-watch-halves', result: 'still-still' },
    { look: 'oil-plug', result: 'gold' },
    { look: 'shaft-play', result: 'large' },
  ];
  const output = ask({ observations, found: ['left-pin'] });
  expect(output.suspects[0]?.fault).toBe('wheel-points');
  expect(chance(output, 'wheel-points')).toBeGreaterThan(0.5);
});

test('two faults at once: either shows in its own way, and a sound machine’s result wants both missed', () => {
  const { outcomes } = packModel(pack, ['seal-leaks']);
  const oil = outcomes.get('oil-plug') ?? [];
  const of = (hypothesis: string) => oil.map(({ likelihood }) => likelihood(hypothesis));
  expect(of(NOTHING_ELSE)[2]).toBeCloseTo(0.94, 6);
  const both = of('wheel-points/0');
  expect(both.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
  // Bronze in it and low at once is told by most, and either alone by some.
  const told = (result: string) => both[oil.findIndex((each) => each.result === result)] ?? 0;
  expect(told('gold+low')).toBeGreaterThan(0.5);
  expect(told('gold')).toBeGreaterThan(0.1);
  expect(told('low')).toBeGreaterThan(0.1);
});

test('a fault the family does not have cannot have been found', () => {
  expect(() => ask({ found: ['gremlins'] })).toThrow(expect.objectContaining({ path: 'found.0' }));
});
