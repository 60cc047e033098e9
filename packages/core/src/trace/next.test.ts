import { findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { seeded } from '../testing.ts';
import { hypothesesOf, priorOf, SOUND } from './hypotheses.ts';
import { CANNOT_TELL, traceNext } from './next.ts';
import { oneAtATime } from './oneAtATime.ts';
import { outcomesOf } from './outcomes.ts';
import { packSchema, type Fault, type Pack } from './pack.ts';
import { likeliestResults, packModel } from './packModel.ts';
import { gearsOfFault, usualRemedy } from './remedies.ts';
import { traceInput, type TraceOutput } from './schema.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const hypotheses = hypothesesOf(pack);
const answered = new Map<string, TraceOutput>();
/** `trace.next`, each question of the family asked once: the answer is the same every time. */
function ask(more: object = {}, of: Pack = pack): TraceOutput {
  const key = JSON.stringify(more);
  const before = of === pack ? answered.get(key) : undefined;
  const made = before ?? traceNext(traceInput.parse({ family: of.id, ...more }), of);
  if (of === pack) answered.set(key, made);
  return made;
}
/** Of faults that never come together. */
const sum = (more: object) => {
  const { suspects, noneOfTheseProbability } = traceNext(traceInput.parse({ family: pack.id, ...more }), alone);
  return suspects.reduce((total, { probability }) => total + probability, noneOfTheseProbability);
};
const alone = oneAtATime(pack);

const observation = fc
  .constantFrom(...pack.looks)
  .chain((look) =>
    fc
      .constantFrom(...outcomesOf(pack, look, hypotheses).map(({ result }) => result), CANNOT_TELL)
      .map((result) => ({ look: look.id, result })),
  );
const observations = fc.uniqueArray(observation, { selector: ({ look }) => look, maxLength: 8 });

test('suspects that never come together and none-of-these sum to one after any observations', () => {
  fc.assert(
    fc.property(observations, (list) => Math.abs(sum({ observations: list }) - 1) < 1e-9),
    { numRuns: 40 },
  );
});

test('a look whose result is taken for nothing after all leaves the suspects as they were without it', () => {
  fc.assert(
    fc.property(observations, observation, (list, extra) => {
      const others = list.filter(({ look }) => look !== extra.look);
      const without = ask({ observations: others }).suspects;
      const after = ask({ observations: [extra, ...others, { look: extra.look, result: CANNOT_TELL }] }).suspects;
      expect(after).toEqual(without);
    }),
    { numRuns: 30 },
  );
});

test('the reasons of a suspect add up to how far it moved', () => {
  fc.assert(
    fc.property(observations, (list) => {
      for (const { prior, probability, because } of ask({ observations: list }).suspects) {
        const bits = because.reduce((total, each) => total + each.bits, 0);
        if (Math.abs(bits - Math.log2(probability / prior)) > 1e-6) return false;
      }
      return true;
    }),
    { numRuns: 30 },
  );
});

test('a look that told nothing moves nothing and is not proposed again', () => {
  const first = ask().next?.look ?? '';
  const after = ask({ observations: [{ look: first, result: CANNOT_TELL }] });
  expect(after.suspects.map(({ probability }) => probability)).toEqual(ask().suspects.map(({ probability }) => probability));
  expect([after.next, ...after.alternatives].map((each) => each?.look)).not.toContain(first);
});

test('a look gets cheaper by the steps already done', () => {
  const all = (output: TraceOutput) => [output.next, ...output.alternatives].find((each) => each?.look === 'worm-watch-pinion');
  const closed = all(ask());
  const open = all(ask({ reached: ['lead-off', 'cover-off', 'bar-off'] }));
  expect((closed?.minutes ?? 0) - (open?.minutes ?? 0)).toBeCloseTo(0.5 + 1 + 1.5);
  expect(open?.steps.map(({ id }) => id)).toEqual(['piston-held', 'clutch-off', 'drum-off', 'plate-off']);
});

test('cautions of the opening travel with the look that needs it', () => {
  const look = [ask().next, ...ask().alternatives].find((each) => each?.look === 'chips-on-worm');
  expect(look?.cautions.map(({ id }) => id)).toEqual(expect.arrayContaining(['plug-lead-off', 'left-hand-thread', 'piston-soft-stop']));
});

test('facts move the priors and the answer says so', () => {
  const old = ask({ facts: { ageYears: 12 } });
  const hose = (output: TraceOutput) => output.suspects.find(({ fault }) => fault === 'hose-perished')?.probability ?? 0;
  expect(hose(old)).toBeGreaterThan(1.8 * hose(ask()));
  expect(old.factShifts).toEqual([{ fault: 'hose-perished', factor: 2.2, why: expect.stringContaining('hoses of this age') as string }]);
});

test('kinematic looks get their outcomes from the chain, not from a table', () => {
  const slower = packSchema.parse(JSON.parse(JSON.stringify(pack).replace('"starts":1,"teeth":17', '"starts":1,"teeth":1700')));
  const look = pack.looks.find(({ id }) => id === 'worm-watch-pinion') as Pack['looks'][number];
  const missed = (of: Pack) =>
    outcomesOf(of, look, hypotheses)
      .find(({ result }) => result === 'still')
      ?.likelihood('tank-empty/0') ?? NaN;
  // Ten worm turns move a 17-tooth pinion by 212°, a 1700-tooth one by 2°: a good gear then looks dead.
  expect(missed(pack)).toBeLessThan(0.05);
  expect(missed(slower)).toBeGreaterThan(0.4);
});

test('likelihoods of every look add up to one under every hypothesis', () => {
  for (const look of pack.looks) {
    const outcomes = outcomesOf(pack, look, hypotheses);
    for (const { id } of hypotheses) expect(outcomes.reduce((total, { likelihood }) => total + likelihood(id), 0)).toBeCloseTo(1, 9);
  }
});

test('packed chips are found and cost no part', () => {
  const verdicts = Array.from({ length: 20 }, (_, seed) => solve(pack, 'chips-packed', seeded(seed)).verdict);
  expect(verdicts.filter((verdict) => verdict === 'chips-packed').length).toBeGreaterThanOrEqual(17);
  const fault = pack.faults.find(({ id }) => id === 'chips-packed') as Fault;
  expect(usualRemedy(pack, fault)).toMatchObject({ kind: 'clean' });
  expect(gearsOfFault(pack, fault)).toEqual([]);
});

test('looks that are as on a sound machine raise none-of-these above every suspect, and end the search without a verdict', () => {
  const shown = likeliestResults(packModel(pack), SOUND);
  const sound = pack.looks.map((look) => ({ look: look.id, result: shown[look.id] ?? '' }));
  const { noneOfTheseProbability, suspects, verdict, end } = ask({ observations: sound });
  expect(noneOfTheseProbability).toBeGreaterThan(suspects[0]?.probability ?? 1);
  expect([verdict, end?.kind]).toEqual([null, 'noneOfThese']);
});

test('on sixty made-up saws the right fault is named in more than 85 of 100, in fewer minutes than by the textbook’s order', () => {
  const random = seeded(7);
  const prior = priorOf(pack, {}, hypotheses);
  let [right, minutes, textbook] = [0, 0, 0];
  const runs = 60;
  for (let i = 0; i < runs; i++) {
    const truth = draw(prior, random);
    const found = solve(pack, truth, random);
    if (found.verdict === null ? isNone(truth) : truth.includes(`${found.verdict}/`)) right++;
    minutes += found.minutes;
    textbook += solve(pack, truth, random, pack.textbookOrder).minutes;
  }
  expect(right / runs).toBeGreaterThan(0.85);
  expect(minutes).toBeLessThan(0.85 * textbook);
});

function draw(belief: Readonly<Record<string, number>>, random: () => number): string {
  let left = random();
  for (const [id, p] of Object.entries(belief)) {
    left -= p;
    if (left <= 0) return id;
  }
  throw new Error('chances sum to one');
}

const isNone = (id: string) => hypotheses.find((each) => each.id === id)?.none !== undefined;

/** Follows the advice (or a fixed order) on a machine with a known fault until the verdict, results drawn by chance. */
function solve(of: Pack, truth: string, random: () => number, order?: readonly string[]) {
  const hypothesis = truth.includes('/') || isNone(truth) ? truth : `${truth}/0`;
  const seen: { look: string; result: string }[] = [];
  const reached = new Set<string>();
  let minutes = 0;
  for (;;) {
    const output = ask({ observations: seen, reached: [...reached] }, of);
    const advised = order
      ? [...output.alternatives, output.next].find((each) => each?.look === order.find((id) => !seen.some(({ look }) => look === id)))
      : output.next;
    const left = order && !advised && !output.verdict ? order.find((id) => !seen.some(({ look }) => look === id)) : undefined;
    const lookId = advised?.look ?? left;
    if (output.verdict || lookId === undefined) return { verdict: output.verdict?.fault ?? null, minutes };
    const look = of.looks.find(({ id }) => id === lookId) as Pack['looks'][number];
    minutes += advised?.minutes ?? look.minutes;
    for (const { id } of advised?.steps ?? []) reached.add(id);
    const outcomes = outcomesOf(of, look, hypotheses);
    const chances = Object.fromEntries(outcomes.map(({ result, likelihood }) => [result, likelihood(hypothesis)]));
    seen.push({ look: lookId, result: draw(chances, random) });
  }
}
