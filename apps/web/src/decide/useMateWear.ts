import { wearBesideQuestion, wearQuestion, type Candidate } from '@patient-badger/core/gear';
import { toSetRight, type GearState } from '@patient-badger/core/job';
import { remediesOf, type GearCard } from '@patient-badger/core/machine';
import type { DraftFacts } from '@patient-badger/core/parts';
import { useMemo } from 'react';
import { runOperation } from '../data/runOperation.ts';
import { kindFor } from '../gear/kinds.ts';
import { useAnswer } from '../gear/useIdentified.ts';
import type { JobView } from '../job/JobView.ts';

/** How worn the gear is that the remedies of a job keep beside something new, by its body; nothing where it was not measured for it. */
export function useMateWear({ pack, state }: Pick<JobView, 'pack' | 'state'>): DraftFacts['wear'] {
  const about = toSetRight(pack, state)
    .flatMap((fault) => remediesOf(pack, fault))
    .flatMap(({ checks }) => checks)
    .find(({ operation }) => operation === 'gear.wear')?.about;
  const card = pack.gears.find(({ body }) => body === about);
  const gear = card && state.gears[card.id];
  const kind = card && kindFor(pack, card)?.kind;
  const isCylindrical = kind?.id === 'cylindrical';
  const { data } = useAnswer<{ candidates: readonly Candidate[] }>(isCylindrical ? kind.identification : undefined, gear);
  const [candidate] = data?.candidates ?? [];
  return useMemo(() => {
    const verdict = card && gear && wornOf(gear, candidate);
    return verdict ? { [card.body]: verdict } : {};
  }, [card, gear, candidate]);
}

function wornOf(gear: GearState, candidate: Candidate | undefined): DraftFacts['wear'][GearCard['body']] | null {
  const beside = wearBesideQuestion(gear, candidate?.normalModuleMm);
  const besideFresh = beside && runOperation('gear.wearBeside', beside);
  if (besideFresh?.ok && besideFresh.output.verdict) return besideFresh.output.verdict;
  const question = candidate && wearQuestion(candidate, gear);
  const worn = question && runOperation('gear.wear', question);
  return worn?.ok ? worn.output.verdict : null;
}
