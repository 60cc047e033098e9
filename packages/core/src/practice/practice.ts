import type { z } from 'zod';
import { update, type Belief } from '../inference/belief.ts';
import { seeded } from '../quantity/seeded.ts';
import { faultInformation } from '../trace/advice.ts';
import { AT_SERVICE, COMPLAINT_FACT, priorOf, type Facts } from '../trace/hypotheses.ts';
import { oneNamed } from '../trace/names.ts';
import { traceNext } from '../trace/next.ts';
import { packForFacts, VARIANT_FACT } from '../trace/overrides.ts';
import type { Pack } from '../trace/pack.ts';
import { packModel, type PackModel } from '../trace/packModel.ts';
import { gearsOfFault, minutesOfWork, usualRemedy } from '../trace/remedies.ts';
import { traceInput } from '../trace/schema.ts';
import { chancesOf, complaintChances, drawn, possibleTruths, wayTo } from './hidden.ts';
import type { dealInput, dealOutput, lookInput, lookOutput, scoreInput, scoreOutput } from './schema.ts';

type DealInput = z.output<typeof dealInput>;
type FindFamily = (family: string, field?: string) => Pack;

/** A machine of practice, with what is really wrong with it. */
interface Machine {
  readonly pack: Pack;
  readonly facts: Facts;
  readonly complaint: string;
  readonly fault: string;
  /** What a look shows when it is taken for the nth time, from 0. */
  readonly shows: (look: string, nth: number) => string;
}

/** Deals a machine with a hidden fault. The same family, seed and grade are the same machine. @throws CoreFailure for an unknown family */
export function deal({ family, grade, seed }: DealInput, find: FindFamily): z.input<typeof dealOutput> {
  const { facts, complaint } = machineOf({ family, grade, seed }, find(family));
  return { practice: `${family}.${grade}.${seed}`, facts: { ...facts }, complaint };
}

/**
 * What a look shows on such a machine, by the same chances of misreading as the tracing counts with, and its minutes with the
 * opening that it takes. Taken again it may be read otherwise.
 * @throws CoreFailure for a look that the family does not have
 */
export function look({ practice, taken, look: asked }: z.output<typeof lookInput>, find: FindFamily): z.input<typeof lookOutput> {
  const { steps } = walk(machineNamed(practice, find), [...taken, asked], (i) => (i === taken.length ? 'look' : `taken.${i}`));
  const { result = '', minutes = 0 } = steps.at(-1) ?? {};
  return { result, minutes };
}

/**
 * A practice gone through again beside the advice on the same machine: minutes, what each look promised and what it told, and
 * what it all cost.
 * @throws CoreFailure where a look, a gear or the verdict is none of the family
 */
export function score(
  { practice, taken, verdict, bought, ...prices }: z.output<typeof scoreInput>,
  find: FindFamily,
): z.input<typeof scoreOutput> {
  const machine = machineNamed(practice, find);
  const { pack, fault } = machine;
  const [really, said] = [oneNamed(pack.faults, fault, 'practice'), oneNamed(pack.faults, verdict, 'verdict')];
  bought.forEach((gear, i) => oneNamed(pack.gears, gear, `bought.${i}`));
  const { steps, minutes } = walk(machine, taken);
  const engine = advised(machine);
  const right = verdict === fault;
  // One piece of each gear that is really wanted; every other one lies on the shelf.
  const inVain = bought.length - gearsOfFault(pack, really).filter((gear) => bought.includes(gear)).length;
  const usual = usualRemedy(pack, said);
  const lost = minutes + (right || !usual ? 0 : minutesOfWork(usual));
  return {
    fault,
    right,
    minutes,
    engineMinutes: engine.minutes,
    engineLooks: engine.looks,
    engineVerdict: engine.verdict,
    looks: whatTheyTold(machine, steps),
    costMinor: Math.round((lost / 60) * prices.rateMinorPerHour + inVain * prices.partMinor),
  };
}

/** The machine of that name, its fault with it. */
export function machineNamed(practice: string, find: FindFamily): Machine {
  const [family = '', grade, seed] = practice.split('.');
  return machineOf({ family, grade: Number(grade) as DealInput['grade'], seed: Number(seed) }, find(family, 'practice'));
}

function machineOf({ family, grade, seed }: DealInput, described: Pack): Machine {
  // What a look shows must not hang on what was looked at before: each thing has a chance of its own.
  const chance = (...about: readonly (string | number)[]) => seeded(numberOf([family, grade, seed, ...about].join(' ')));
  const variant = oneOf([undefined, ...described.variants.map(({ id }) => id)], chance('variant'));
  const facts: Facts = variant === undefined ? {} : { [VARIANT_FACT]: variant };
  const pack = packForFacts(described, facts);
  const possible = possibleTruths(pack, 1);
  const truth = drawn(weightsOf(possible, grade), chance('fault'));
  const [fault = ''] = possible.find(({ hypothesis }) => hypothesis === truth)?.faults ?? [];
  // Whoever brings a machine says something: what turns up at a service begins with a find.
  const complaints = pack.complaints.filter(({ id }) => id !== AT_SERVICE);
  const chances = complaintChances({ ...pack, complaints }, [fault]);
  const said = grade === 1 ? likeliest(chances) : drawn(chances, chance('complaint'));
  const chancesOn = (id: string) =>
    chancesOf(pack, id, { hypothesis: truth, disturbed: grade === 3 ? chance('otherwise', id) : undefined });
  return {
    pack,
    fault,
    facts: { ...facts, [COMPLAINT_FACT]: said },
    complaint: oneOf(complaints.find(({ id }) => id === said)?.says ?? [], chance('words')) ?? '',
    shows: (id, nth) => (grade === 1 ? likeliest(chancesOn(id)) : drawn(chancesOn(id), chance('look', id, nth))),
  };
}

/** How often each truth is dealt. */
function weightsOf(all: ReturnType<typeof possibleTruths>, grade: DealInput['grade']): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { faults, weight } of all) sums.set(faults[0] ?? '', (sums.get(faults[0] ?? '') ?? 0) + weight);
  const byWeight = [...sums.values()].sort((p, q) => q - p);
  const middle = byWeight[Math.floor((byWeight.length - 1) / 2)] ?? 0;
  return new Map(
    all.map(({ hypothesis, faults, weight }) => {
      const ofFault = sums.get(faults[0] ?? '') ?? 0;
      if (grade === 1) return [hypothesis, ofFault >= middle ? weight : 0];
      return [hypothesis, grade === 2 ? weight : weight / ofFault];
    }),
  );
}

const likeliest = (chances: ReadonlyMap<string, number>) =>
  [...chances].reduce((best, each) => (each[1] > best[1] ? each : best), ['', -1])[0];

const oneOf = <T>(list: readonly T[], random: () => number): T | undefined => list[Math.floor(random() * list.length)];

/** Words as a number to begin a chance with (FNV-1a, public domain). */
function numberOf(words: string): number {
  let mixed = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) mixed = Math.imul(mixed ^ words.charCodeAt(i), 0x01000193);
  return mixed >>> 0;
}

interface PracticeLook {
  readonly look: string;
  readonly result: string;
  readonly minutes: number;
}

/** Looks taken one after the other on the machine as it came in: what each shows, its minutes, and what is open at the end. */
function walk({ pack, shows }: Machine, looks: readonly string[], pathOf = (i: number) => `taken.${i}`) {
  const steps: PracticeLook[] = [];
  let [reached, minutes]: [readonly string[], number] = [[], 0];
  looks.forEach((id, i) => {
    const found = oneNamed(pack.looks, id, pathOf(i));
    const way = wayTo(pack, found, reached);
    reached = way.reached;
    minutes += found.minutes + way.minutes;
    const nth = looks.slice(0, i).filter((each) => each === id).length;
    steps.push({ look: id, result: shows(id, nth), minutes: found.minutes + way.minutes });
  });
  return { steps, minutes, reached };
}

/** More looks than the advice has ever wanted: it ends by itself. */
const MOST_ADVISED = 40;

/** The advice followed to its verdict, or until no look is left. */
function advised(machine: Machine): { looks: string[]; minutes: number; verdict: string | null } {
  const looks: string[] = [];
  for (;;) {
    const { steps, minutes, reached } = walk(machine, looks);
    const observations = steps.map(({ look: id, result }) => ({ look: id, result }));
    const asked = traceInput.parse({ family: machine.pack.id, facts: machine.facts, observations, reached });
    const { next, verdict } = traceNext(asked, machine.pack);
    if (!next || looks.length >= MOST_ADVISED) return { looks, minutes, verdict: verdict?.fault ?? null };
    looks.push(next.look);
  }
}

/** What each look promised when it was taken, and by how much it moved what is really wrong, as the tracing says it of all of them. */
function whatTheyTold({ pack, facts, fault }: Machine, steps: readonly PracticeLook[]) {
  const model = packModel(pack);
  const observations = steps.map(({ look, result }) => ({ look, result }));
  const { suspects } = traceNext(traceInput.parse({ family: pack.id, facts, observations }), pack);
  const because = suspects.find((each) => each.fault === fault)?.because ?? [];
  return steps.map((step, i) => {
    const others = steps.slice(0, i).filter((each) => each.look !== step.look);
    const before = beliefAfter(model, priorOf(pack, { facts }, model.hypotheses), others);
    return {
      look: step.look,
      minutes: step.minutes,
      couldTellBits: faultInformation(before, model.hypotheses, model.outcomes.get(step.look) ?? []).bits,
      toldBits: because.find((each) => each.look === step.look)?.bits ?? 0,
    };
  });
}

const beliefAfter = ({ outcomes }: PackModel, prior: Belief, seen: readonly PracticeLook[]): Belief =>
  seen.reduce((belief, { look: id, result }) => {
    const shown = outcomes.get(id)?.find((each) => each.result === result);
    return shown ? update(belief, shown.likelihood) : belief;
  }, prior);
