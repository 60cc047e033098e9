import { t as families } from '@patient-badger/wording/families';
import { t as trace } from '@patient-badger/wording/trace';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  CANNOT_TELL,
  likeliestResults,
  packForFacts,
  packModel,
  SOUND,
  traceInput,
  traceNext,
  type Pack,
} from '@patient-badger/core/machine';
import { openAfter } from '../packages/core/src/access/state.ts';
import { forbidden } from '../packages/core/src/trace/forbidden.ts';

/** A machine told from its physical fault, without knowledge of the pack's chances: what it shows at every look. */
export interface Machine {
  readonly title: string;
  readonly kind: string;
  readonly family: string;
  readonly facts: Readonly<Record<string, string | number | boolean>>;
  readonly complaints: readonly string[];
  readonly answers: Readonly<Record<string, string>>;
  /** The faults that must be named, of a list inside any; null where no listed fault is there. */
  readonly verdict: readonly (string | readonly string[])[] | null;
  /** Faults that may be named besides. */
  readonly accept?: readonly string[] | null;
  /** What it shows otherwise once a look was taken: a cure. */
  readonly after?: readonly { readonly look: string; readonly answers: Readonly<Record<string, string>> }[];
}

export const machinesIn = (folder: string): readonly Machine[] =>
  readdirSync(folder).flatMap((file) => JSON.parse(readFileSync(join(folder, file), 'utf8')) as readonly Machine[]);

/** Nobody takes more looks than these. */
const MOST_LOOKS = 40;

export interface Run {
  /** "right": named, or rightly ended; "wrong": a verdict that the machine does not have; "none": anything else. */
  readonly came: 'right' | 'wrong' | 'none';
  readonly end: string;
  readonly looks: readonly string[];
  readonly forbidden: readonly string[];
  /** Looks for which the machine has no answer among those of the pack. */
  readonly unanswered: number;
  /** To the first verdict, and after it to the end. */
  readonly minutes: readonly [number, number];
}

/** The app's own advice followed to its end; each look answered as the machine of the story shows it. */
export function follow(machine: Machine, family: Pack): Run {
  const { facts } = machine;
  const complaints = [...machine.complaints];
  const pack = packForFacts(family, facts);
  const wanted = (machine.verdict ?? []).map((each) => (typeof each === 'string' ? [each] : each));
  const allowed = new Set([...wanted.flat(), ...(machine.accept ?? [])]);
  const seen: { look: string; result: string }[] = [];
  const found: string[] = [];
  const trespasses: string[] = [];
  let reached: readonly string[] = [];
  const minutes: [number, number] = [0, 0];
  const ended = (came: Run['came'], end: string): Run => ({
    came,
    end,
    minutes,
    forbidden: trespasses,
    unanswered: seen.filter(({ result }) => result === CANNOT_TELL).length,
    looks: seen.map(({ look, result }) => `${look}:${result}`),
  });
  const isNamed = () => wanted.length > 0 && wanted.every((each) => each.some((fault) => found.includes(fault)));
  while (seen.length < MOST_LOOKS) {
    const asked = traceInput.parse({ family: machine.family, facts, complaints, observations: seen, reached, found });
    const { next, verdict, end, noneOfTheseProbability, suspects } = traceNext(asked, pack);
    if (verdict) {
      const { faults } = verdict;
      if (faults.some((fault) => !allowed.has(fault))) return ended('wrong', `${faults.join('+')} ${verdict.probability.toFixed(3)}`);
      found.push(...faults);
      if (isNamed()) return ended('right', found.join('+'));
      continue;
    }
    if (end || !next) {
      const isNone = end?.kind === 'noneOfThese' && suspects.every(({ probability }) => probability <= noneOfTheseProbability);
      const right = machine.verdict === null ? isNone : isNamed();
      return ended(
        right ? 'right' : 'none',
        `${end?.kind ?? trace.moreLooks('no')} ${suspects[0]?.fault} ${suspects[0]?.probability.toFixed(3)}`,
      );
    }
    trespasses.push(...forbidden(pack, next, reached));
    reached = openAfter(next, reached);
    minutes[found.length === 0 ? 0 : 1] += next.minutes;
    const cured = (machine.after ?? []).filter(({ look }) => seen.some((each) => each.look === look));
    const answers = Object.assign({}, machine.answers, ...cured.map((each) => each.answers)) as typeof machine.answers;
    seen.push({ look: next.look, result: answers[next.look] ?? CANNOT_TELL });
  }
  return ended('none', families.looks('too many'));
}

/** Machines of a family on which every look is as it should be, one for each complaint and one without any. */
export const soundMachines = (pack: Pack): readonly Machine[] =>
  [null, ...pack.complaints.map(({ id }) => id)].map((complaint) => ({
    title: `all sound, ${complaint ?? 'no complaint'}`,
    kind: 'sound',
    family: pack.id,
    facts: {},
    verdict: null,
    complaints: complaint === null ? [] : [complaint],
    answers: likeliestResults(packModel(pack), SOUND),
  }));
