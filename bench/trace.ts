/**
 * How well tracing does: faults are drawn from each family's priors, owners complain, looks show what
 * they would show, and the advice is followed until the verdict or until no look is left.
 *
 *   npm run bench:trace [-- MACHINES [FAMILY…]]     machines a family (default 400)
 *
 * Baselines in the same run: the family's textbook order (outside looks first, then along the chain),
 * which stops at the same confidence, the shortest proof (somebody who knows the fault and shows it by one look), and the lower bound: bits to be won over the best rate of any look.
 */
import {
  COMPLAINT_FACT,
  keysOf,
  lookWants,
  packModel,
  priorOf,
  reachOf,
  settledFaults,
  traceInput,
  traceNext,
  type Pack,
  type TraceOutput,
} from '@patient-badger/core/machine';
import { FAMILIES } from '@patient-badger/knowledge';
import { chancesOf, complaintChances, drawn, possibleTruths, wayTo, type Truth } from '../packages/core/src/practice/hidden.ts';
import { noneMachines } from './noneWorld.ts';
import { seeded } from '../packages/core/src/testing.ts';

const MACHINES = Number(process.argv[2] ?? 400);
const ASKED = process.argv.slice(3);
/** Of the machines that come in so many have nothing of the list (of 124 told ones 23 had). */
const NONE_SHARE = 0.15;
const CONFIDENCE = 0.9;

interface SampleMachine extends Truth {
  readonly complaint: string;
}
interface Observation {
  readonly look: string;
  readonly result: string;
}
interface Move {
  readonly look: string | null;
  readonly verdict: readonly string[];
  /** The first suspect, where it is likelier there than not. */
  readonly likelier: string | null;
  readonly end: Ending;
}
/** How the search ended, where no verdict stands. */
type Ending = TraceOutput['end'];

interface Position {
  readonly complaint: string;
  readonly seen: readonly Observation[];
  readonly reached: readonly string[];
  readonly found: readonly string[];
}
type Policy = (position: Position) => Move;

function truths(pack: Pack, count: 1 | 2, random: () => number): readonly SampleMachine[] {
  const possible = new Map(possibleTruths(pack, count).map((each) => [each.hypothesis, each]));
  const weights = new Map([...possible].map(([id, { weight }]) => [id, weight]));
  return Array.from({ length: MACHINES }, () => {
    const hypothesis = drawn(weights, random);
    const faults = possible.get(hypothesis)?.faults ?? [];
    return { hypothesis, faults, complaint: drawn(complaintChances(pack, faults), random) };
  });
}

/** Chances of the results of a look under the truth, disturbed or not. */
type World = (look: string, hypothesis: string) => ReadonlyMap<string, number>;

function world(pack: Pack, disturbed: boolean, random: () => number): World {
  const kept = new Map<string, ReadonlyMap<string, number>>();
  return (look, hypothesis) => {
    const key = `${look} ${hypothesis}`;
    const made = kept.get(key) ?? chancesOf(pack, look, { hypothesis, disturbed: disturbed ? random : undefined });
    kept.set(key, made);
    return made;
  };
}

/** `trace.next`, asked once for each thing that can be seen on the way. */
function advised(pack: Pack, times: number[]): Policy {
  const kept = new Map<string, Move>();
  return ({ complaint, seen, reached, found }) => {
    const key = `${complaint} ${found.join(' ')} ${seen.map(({ look, result }) => `${look}=${result}`).join(' ')}`;
    const before = kept.get(key);
    if (before) return before;
    const input = traceInput.parse({
      family: pack.id,
      facts: { [COMPLAINT_FACT]: complaint },
      observations: seen,
      reached,
      found,
      confidence: CONFIDENCE,
    });
    const start = performance.now();
    const { next, verdict, suspects, end } = traceNext(input, pack);
    times.push(performance.now() - start);
    const made = {
      look: next?.look ?? null,
      verdict: verdict?.faults ?? [],
      likelier: (suspects[0]?.probability ?? 0) > 0.5 ? (suspects[0]?.fault ?? null) : null,
      end,
    };
    kept.set(key, made);
    return made;
  };
}

const byTheBook =
  (pack: Pack, judge: Policy): Policy =>
  (position) => ({
    ...judge(position),
    look: pack.textbookOrder.find((id) => !position.seen.some(({ look }) => look === id)) ?? null,
  });

interface FollowOptions {
  readonly list: readonly SampleMachine[];
  readonly policy: Policy;
  readonly shows: World;
  readonly random: () => number;
}

function follow(pack: Pack, { list, policy, shows, random }: FollowOptions) {
  const looks = new Map(pack.looks.map((look) => [look.id, look]));
  let right = 0;
  let wrong = 0;
  let named = 0;
  let minutes = 0;
  for (const { complaint, faults, hypothesis } of list) {
    const seen: Observation[] = [];
    let reached: readonly string[] = [];
    const found: string[] = [];
    for (;;) {
      const { look: id, verdict, likelier } = policy({ complaint, seen, reached, found });
      const fresh = verdict.filter((each) => !found.includes(each));
      const look = id === null ? undefined : looks.get(id);
      if (verdict.some((each) => !faults.includes(each))) wrong++;
      else if (fresh.length > 0) {
        found.push(...fresh);
        // Of two faults the first is kept, and the machine looked at further.
        if (faults.some((each) => !found.includes(each))) continue;
        right++;
      }
      if (verdict.length === 0 && !look && found.length > 0 && faults.includes(likelier ?? '')) named++;
      if (verdict.length > 0 || !look) break;
      const way = wayTo(pack, look, reached);
      reached = way.reached;
      minutes += look.minutes + way.minutes;
      const shown = () => drawn(shows(look.id, hypothesis), random);
      const first = shown();
      // What settles a fault is asked back once: who misread it looks again.
      const isMisread = settledFaults(pack, { look: look.id, result: first }).some((each) => !faults.includes(each));
      seen.push({ look: look.id, result: isMisread ? shown() : first });
    }
  }
  return { right: right / list.length, wrong: wrong / list.length, named: named / list.length, minutes: minutes / list.length };
}

/** Machines with nothing of the list: a verdict is wrong, and right is that the search ends as none of these. */
function followNone(pack: Pack, policy: Policy, random: () => number) {
  const looks = new Map(pack.looks.map((look) => [look.id, look]));
  const list = noneMachines(pack, Math.max(20, Math.round((NONE_SHARE / (1 - NONE_SHARE)) * MACHINES)), random);
  let [right, wrong, minutes] = [0, 0, 0];
  for (const { complaint, shows } of list) {
    const seen: Observation[] = [];
    for (let reached: readonly string[] = []; ;) {
      const { look: id, verdict, end } = policy({ complaint, seen, reached, found: [] });
      const look = id === null ? undefined : looks.get(id);
      if (verdict.length > 0) wrong++;
      else if (!look && end?.kind === 'noneOfThese') right++;
      if (verdict.length > 0 || !look) break;
      const way = wayTo(pack, look, reached);
      reached = way.reached;
      minutes += look.minutes + way.minutes;
      seen.push({ look: look.id, result: shows(look.id) });
    }
  }
  return { right: right / list.length, wrong: wrong / list.length, minutes: minutes / list.length };
}

/**
 * Minutes of somebody who knows the fault and takes the one look that shows it best, opening included:
 * what no order of looks comes below unless a fault is told by all others being out.
 */
function shortestProof(pack: Pack): number {
  const { hypotheses, outcomes } = packModel(pack);
  const prior = priorOf(pack, {}, hypotheses);
  const single = hypotheses.filter(({ faults }) => faults.length === 1);
  const reach = reachOf(pack);
  const minutesTo = new Map(
    pack.looks.map((look) => [look.id, look.minutes + (reach.approachOf(lookWants(pack, look), [])?.minutes ?? 0)]),
  );
  const sure = (id: string, fault: string, look: string): boolean =>
    (outcomes.get(look) ?? []).some(({ likelihood }) => {
      const mine = (prior[id] ?? 0) * likelihood(id);
      const others = hypotheses
        .filter((each) => !keysOf(each).includes(fault))
        .reduce((sum, each) => sum + (prior[each.id] ?? 0) * likelihood(each.id), 0);
      return likelihood(id) >= 0.5 && mine / (mine + others) >= 0.6;
    });
  let [minutes, weight] = [0, 0];
  for (const machine of single) {
    const fault = keysOf(machine)[0] ?? '';
    const proofs = pack.looks.filter((look) => sure(machine.id, fault, look.id)).map((look) => minutesTo.get(look.id) ?? Infinity);
    if (proofs.length === 0) continue;
    minutes += (prior[machine.id] ?? 0) * Math.min(...proofs);
    weight += prior[machine.id] ?? 0;
  }
  return minutes / weight;
}

/** Bits between the first doubt and what is left of it at a verdict, at the best rate of any look with everything open. */
function lowerBound(pack: Pack): number {
  const reached = pack.steps.map(({ id }) => id);
  const output = traceNext(traceInput.parse({ family: pack.id, reached, confidence: CONFIDENCE }), pack);
  const advice = [output.next, ...output.alternatives].flatMap((each) => (each ? [each] : []));
  const best = Math.max(...advice.map(({ expectedBits, lookMinutes }) => expectedBits / lookMinutes));
  const chances = [...output.suspects.map(({ prior }) => prior), output.noneOfTheseProbability];
  const bits = (list: readonly number[]) => -list.reduce((sum, p) => sum + (p > 0 ? p * Math.log2(p) : 0), 0);
  return Math.max(0, bits(chances) - bits([CONFIDENCE, 1 - CONFIDENCE])) / best;
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
const table: Record<string, Record<string, string | number>> = {};
const sums = {
  noneRight: 0,
  noneWrong: 0,
  noneMinutes: 0,
  right: 0,
  disturbed: 0,
  minutes: 0,
  disturbedMinutes: 0,
  book: 0,
  bound: 0,
  ratio: 0,
  two: 0,
  named: 0,
};
const families = FAMILIES.filter(({ id }) => ASKED.length === 0 || ASKED.includes(id));
const largest = [...families].sort((p, q) => q.looks.length * q.faults.length - p.looks.length * p.faults.length)[0] as Pack;
let largestTimes: number[] = [];

for (const pack of families) {
  const list = truths(pack, 1, seeded(11));
  const times: number[] = [];
  const advice = advised(pack, times);
  const plain = follow(pack, { list, policy: advice, shows: world(pack, false, seeded(1)), random: seeded(2) });
  const disturbed = follow(pack, { list, policy: advice, shows: world(pack, true, seeded(3)), random: seeded(4) });
  const judge = advised(pack, []);
  const book = follow(pack, { list, policy: byTheBook(pack, judge), shows: world(pack, false, seeded(1)), random: seeded(2) });
  const two = follow(pack, { list: truths(pack, 2, seeded(12)), policy: advice, shows: world(pack, false, seeded(5)), random: seeded(6) });
  const none = followNone(pack, advice, seeded(21));
  const proof = shortestProof(pack);
  const bound = lowerBound(pack);
  if (pack === largest) largestTimes = times.sort((p, q) => p - q);
  table[pack.id] = {
    right: percent(plain.right),
    wrong: percent(plain.wrong),
    'right, disturbed': percent(disturbed.right),
    minutes: plain.minutes.toFixed(1),
    'minutes, disturbed': disturbed.minutes.toFixed(1),
    'textbook right': percent(book.right),
    'textbook minutes': book.minutes.toFixed(1),
    'of textbook': percent(plain.minutes / book.minutes),
    'both found': percent(two.right),
    'or named': percent(two.right + two.named),
    'none: right end': percent(none.right),
    'none: wrong': percent(none.wrong),
    'none: minutes': none.minutes.toFixed(1),
    'shortest proof': `${proof.toFixed(1)} = ${percent(proof / book.minutes)}`,
    'lower bound': bound.toFixed(1),
  };
  sums.noneRight += none.right;
  sums.noneWrong += none.wrong;
  sums.noneMinutes += none.minutes;
  sums.right += plain.right;
  sums.disturbed += disturbed.right;
  sums.minutes += plain.minutes;
  sums.disturbedMinutes += disturbed.minutes;
  sums.book += book.minutes;
  sums.bound += bound;
  sums.two += two.right;
  sums.named += two.right + two.named;
  sums.ratio += plain.minutes / book.minutes;
  process.stderr.write('.');
}
process.stderr.write('\n');
console.table(table);
const n = families.length;
console.log(`${n} families, ${MACHINES} machines each, verdict from ${CONFIDENCE} on`);
console.log(`right            ${percent(sums.right / n)}   to reach 95 %`);
console.log(`right, disturbed ${percent(sums.disturbed / n)}   to reach 90 %`);
console.log(
  `minutes          ${percent(sums.minutes / sums.book)} of the textbook's over all, ${percent(sums.ratio / n)} as the mean of the families   to reach 60 %`,
);
console.log(
  `two faults       ${percent(sums.two / n)} of machines with two: both found; ${percent(sums.named / n)} with the second standing first above one half when no look was left   to reach 85 %`,
);
console.log(
  `nothing listed   ${percent(sums.noneRight / n)} rightly ended, ${percent(sums.noneWrong / n)} with a wrong verdict, ${(sums.noneMinutes / n).toFixed(1)} minutes   to reach 90 % and 3 %`,
);
console.log(`lower bound      ${percent(sums.bound / sums.book)} of the textbook's minutes`);
const at = (share: number) => (largestTimes[Math.min(largestTimes.length - 1, Math.floor(share * largestTimes.length))] ?? 0).toFixed(1);
console.log(
  `trace.next       ${largest.id} (${largest.faults.length} faults, ${largest.looks.length} looks): median ${at(0.5)} ms, worst ${at(1)} ms of ${largestTimes.length}   to reach 100 and 300`,
);
