import { seeded } from '@patient-badger/core';
import { foldJob, usualOutcome, type Entry, type EntryPayload } from '@patient-badger/core/job';
import { applyOverrides, gearsOfFault, usualRemedy, type Facts, type Fault, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { SCENARIO } from '@patient-badger/knowledge/scenario';
import { idOf } from '../idOf.ts';
import { type PartRow } from '../parts/entities.ts';

type Machine = (typeof SCENARIO.machines)[number];

export interface PastJob {
  readonly id: string;
  readonly machine: Machine;
  readonly entries: readonly Entry[];
}

const DAY_MS = 86_400_000;
const [OLDEST_DAYS, NEWEST_DAYS] = [720, 70];
const MOST = 38;

/**
 * Finished jobs of the last two years, the same at every seeding: faults drawn from each family's own
 * priors, set right, proved, and where steering or brakes were in it looked over by another.
 */
export function pastJobs(catalogue: readonly PartRow[], now: Date): readonly PastJob[] {
  const random = seeded(20260107);
  return Array.from({ length: MOST }, (_, i) => {
    const machine = SCENARIO.machines[i % SCENARIO.machines.length] as Machine;
    // Two visits of one machine lie well apart.
    const visit = Math.floor(i / SCENARIO.machines.length);
    const span = (OLDEST_DAYS - NEWEST_DAYS) / 2;
    const daysAgo = OLDEST_DAYS - span * (visit + 0.9 * random());
    return pastJob({ key: `past-${i}`, machine, began: now.getTime() - daysAgo * DAY_MS, daysAgo, random, catalogue });
  });
}

interface Draw {
  readonly key: string;
  readonly machine: Machine;
  readonly began: number;
  readonly daysAgo: number;
  readonly random: () => number;
  readonly catalogue: readonly PartRow[];
}

function pastJob({ key, machine, began, daysAgo, random, catalogue }: Draw): PastJob {
  const model = SCENARIO.models.find((each) => each.key === machine.model);
  const family = findFamily(machine.family);
  if (!family) throw new Error(`the demo machine ${machine.key} has no family`);
  const pack = applyOverrides(family, model?.overrides);
  const fault = drawn(pack, random);
  const [by, other] = machine.family.includes('saw') || machine.family.includes('odometer') ? ['tobin', 'imke'] : ['imke', 'tobin'];
  const jobId = idOf('job', key);
  const said: [minutes: number, by: string, payload: EntryPayload][] = [
    [0, by, takenIn(machine, { pack, daysAgo, random })],
    [35, by, { kind: 'decided', fault: fault.id, remedy: usualRemedy(pack, fault)?.kind ?? 'stop', probability: 0.9 + 0.09 * random() }],
    ...partOf(pack, fault, { jobId, catalogue, by, random }),
    ...pack.proofs.map(({ id }, i): [number, string, EntryPayload] => [7000 + i, by, { kind: 'proofDone', proof: id, passed: true }]),
    ...(pack.safetyCritical ? [[7050, other, { kind: 'secondChecked' }] as [number, string, EntryPayload]] : []),
  ];
  const written = ([minutes, who, payload]: (typeof said)[number], i: number): Entry => ({
    // An order is known by its entry's own id.
    id: payload.kind === 'partOrdered' ? orderId(jobId) : idOf('entry', `${key}/${i}`),
    jobId,
    at: new Date(began + minutes * 60_000).toISOString(),
    by: who,
    payload,
  });
  const worked = said.map(written);
  const outcome = usualOutcome(pack, foldJob(jobId, worked));
  const closed = written([7060, by, { kind: 'closed', outcome, found: `${fault.name}.` }], said.length);
  return { id: jobId, machine, entries: [...worked, closed] };
}

/** A fault, as often as the family says that it is the one. */
function drawn(pack: Pack, random: () => number): Fault {
  const total = pack.faults.reduce((sum, { prior }) => sum + prior, 0);
  let left = random() * total;
  return pack.faults.find(({ prior }) => (left -= prior) <= 0) ?? (pack.faults[0] as Fault);
}

interface TakenInOptions {
  readonly pack: Pack;
  readonly daysAgo: number;
  readonly random: () => number;
}

function takenIn(machine: Machine, { pack, daysAgo, random }: TakenInOptions): EntryPayload {
  const complaint = pack.complaints[Math.floor(random() * pack.complaints.length)];
  const says = complaint?.says ?? [];
  // Hours and distance grew about evenly over the machine's life.
  const age = Number(machine.facts.ageYears ?? 6);
  const younger = (value: number) => Math.round(value * Math.max(0.1, 1 - daysAgo / 365 / Math.max(age, 2.5)));
  const facts: Facts = Object.fromEntries(
    Object.entries(machine.facts).map(([name, value]) =>
      typeof value === 'number' && (name === 'hours' || name === 'distanceKm') ? [name, younger(value)] : [name, value],
    ),
  );
  return {
    kind: 'takenIn',
    machineId: idOf('machine', machine.key),
    family: machine.family,
    complaint: `${says[Math.floor(random() * says.length)] ?? 'It does not work'}.`,
    facts: complaint ? { ...facts, complaint: complaint.id } : facts,
  };
}

const orderId = (jobId: string) => idOf('entry', `${jobId}/order`);

interface Buying {
  readonly jobId: string;
  readonly catalogue: readonly PartRow[];
  readonly by: string;
  readonly random: () => number;
}

/** The part that was ordered, measured and fitted, where the fault wanted one that the catalogue has. */
function partOf(pack: Pack, fault: Fault, { jobId, catalogue, by, random }: Buying): [number, string, EntryPayload][] {
  const gear = pack.gears.find(({ id }) => id === gearsOfFault(pack, fault)[0]);
  const likely = catalogue.filter(({ type, claims }) => type === gear?.type && claims.length > 0);
  const part = likely[Math.floor(random() * likely.length)];
  if (!gear || !part) return [];
  const { id: partId, partNumber, name, supplier, attributes, priceMinor } = part;
  const order = orderId(jobId);
  const at = gear.id;
  return [
    [60, by, { kind: 'partChosen', gear: at, partId, partNumber, name, probability: 0.94, priceMinor }],
    [61, by, { kind: 'partOrdered', gear: at, partId, partNumber, name, supplier, priceMinor, attributes }],
    [6000, by, { kind: 'partArrived', gear: at, order }],
    [6005, by, { kind: 'partAccepted', gear: at, order, partNumber }],
    [6400, by, { kind: 'partFitted', gear: at, partId, partNumber }],
  ];
}
