import { guideLife, lifeIn } from '../decide/draft.ts';
import { usualUse, type UseUnit } from '../quantity/useUnit.ts';
import { PROOF_PHASES, type Pack, type Proof, type ProofPhase } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import type { FollowUp, JobState } from './jobState.ts';
import { workOfJob } from './workOfJob.ts';

/** What is proved of one phase, in the family's order. */
export interface PhaseProofs {
  readonly phase: ProofPhase;
  readonly proofs: readonly Proof[];
}

type ProvedState = Pick<JobState, 'found' | 'decided' | 'answer' | 'reached'>;

/** What the work of a job wants proved by hand, powered without load, in use, and later; phases that it has none of are left out. */
export function proofPlan(pack: Pack, state: ProvedState): readonly PhaseProofs[] {
  const { proofs } = workOfJob(pack, state);
  return PROOF_PHASES.map((phase) => ({ phase, proofs: proofs.filter((each) => each.phase === phase) })).filter(
    (each) => each.proofs.length > 0,
  );
}

/** Whether every proof that the work wants and that can be done before it goes home was passed; a work without one proves nothing. */
export function isProved(pack: Pack, state: ProvedState & Pick<JobState, 'proofs'>): boolean {
  const wanted = workOfJob(pack, state).proofs.filter(({ phase }) => phase !== 'later');
  return wanted.length > 0 && wanted.every(({ id }) => state.proofs.some(({ proof, passed }) => proof === id && passed));
}

/** Whether a figure keeps within its limits; true where it has none. */
export const isWithin = (
  { min = -Infinity, max = Infinity }: { readonly min?: number | undefined; readonly max?: number | undefined },
  value: number,
): boolean => min <= value && value <= max;

/** How much the machine is used in a year; null where nobody knows. */
interface MachineUse {
  readonly use: { readonly perYear: number; readonly unit: UseUnit } | null;
}

const DAY_MS = 86_400_000;
const YEAR_DAYS = 365;

/**
 * The days on which the machine is looked at again, from the day of the work: those of the family's proofs, and for a used gear half
 * of the life that it was put to the owner with, a year at the latest, by the use of the job's state. What is on the list already is not asked for twice.
 * @param on ISO date of the day of the work; usedGear what is looked at on a used gear, in words, by its name
 */
export function laterLooks(
  pack: Pack,
  state: ProvedState & Pick<JobState, 'followUps' | 'gears' | 'options'> & MachineUse,
  { on, usedGear }: { readonly on: string; readonly usedGear: (name: string) => string },
): readonly Extract<EntryPayload, { kind: 'followUpSet' }>[] {
  const look = (what: string, days: number) => ({
    kind: 'followUpSet' as const,
    action: 'look' as const,
    what,
    due: new Date(Date.parse(on) + days * DAY_MS).toISOString().slice(0, 10),
  });
  const ofProofs = workOfJob(pack, state)
    .proofs.filter(({ id }) => !state.followUps.some(({ proof }) => proof === id))
    .flatMap(({ id, name, afterDays }) => afterDays.map((days) => ({ ...look(name, days), proof: id })));
  const ofDonors = pack.gears
    .filter(({ id }) => state.gears[id]?.chosen?.source === 'shelf')
    .map(({ name }) => look(usedGear(name), donorDays(state)))
    .filter(({ what }) => !state.followUps.some((each) => each.what === what));
  return [...ofProofs, ...ofDonors];
}

function donorDays({ options, use }: Pick<JobState, 'options'> & MachineUse): number {
  const { perYear, unit } = use ?? usualUse(undefined);
  const kept = options.find(({ optionKind }) => optionKind === 'donor');
  const life = kept ? lifeIn(kept, unit) : guideLife('donor', unit);
  return Math.max(1, Math.round(Math.min(1, life / 2 / perYear) * YEAR_DAYS));
}

/** What is still to be done of the follow-ups, the soonest first. */
export const openFollowUps = ({ followUps }: Pick<JobState, 'followUps'>): readonly FollowUp[] =>
  followUps.filter(({ done }) => done === null).sort((p, q) => Number(p.due > q.due) - Number(p.due < q.due));

/**
 * What a failed proof tells the tracing: the result of the look that it repeats where failing can mean but one, and that what was set
 * right was not all of it.
 * @param saw that it failed, in words
 * @returns entries to be written after the failure itself
 */
export function failedProof(
  { faults, looks }: Pick<Pack, 'faults' | 'looks'>,
  { decided }: Pick<JobState, 'decided'>,
  { failing, saw }: Pick<Proof, 'failing'> & { readonly saw: string },
): readonly EntryPayload[] {
  const look = looks.find(({ id }) => id === failing?.look);
  const fault = faults.find(({ id }) => id === decided?.fault);
  return [
    ...(failing?.result !== undefined && look ? [{ kind: 'lookRecorded' as const, look: look.id, result: failing.result }] : []),
    ...(fault
      ? [
          {
            kind: 'ownLookRecorded' as const,
            saw,
            fault: fault.id,
            speaks: 'against' as const,
            sure: 'fairly' as const,
          },
        ]
      : []),
  ];
}

/** What the work of a job wants set and is not set yet, in the family's order. */
export const openSettings = (pack: Pack, state: ProvedState & Pick<JobState, 'settings'>): Pack['settings'] =>
  workOfJob(pack, state).settings.filter(({ id }) => !state.settings.some((each) => each.wanted === id));
