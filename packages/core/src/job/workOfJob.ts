import { reassembly } from '../access/reassembly.ts';
import { remediesOf, usualRemedy } from '../trace/remedies.ts';
import type { Fault, Pack } from '../trace/pack.ts';
import type { Remedy } from '../work/remedy.ts';
import type { JobState } from './jobState.ts';
import { toSetRight } from './toSetRight.ts';

type Decided = Pick<JobState, 'found' | 'decided' | 'answer'>;

/** How each fault of the job is set right: as the owner answered, else by what its family names first. A file that names none says nothing here. */
export const remediesOfJob = (pack: Pack, state: Decided): readonly Remedy[] =>
  remediesOfFaults(
    pack,
    toSetRight(pack, state).filter(({ remedies }) => remedies.length > 0),
    state,
  );

/** How each of these faults is set right, whatever its file looks like. */
export const remediesOfFaults = (pack: Pack, faults: readonly Fault[], { answer }: Pick<JobState, 'answer'>): readonly Remedy[] =>
  faults.flatMap((fault) => remediesOf(pack, fault).find(({ id }) => id === answer?.option) ?? usualRemedy(pack, fault) ?? []);

/** What the work of a job wants set and proved, in the family's order. */
interface Work {
  readonly settings: Pack['settings'];
  readonly proofs: Pack['proofs'];
}

/**
 * What of a family's settings and proofs the work of this job brings: those of its remedies, and the settings of every piece of the
 * way back. While nothing is decided, or nothing is said for it, all that the family has.
 */
export function workOfJob(pack: Pack, state: Decided & Pick<JobState, 'reached'>): Work {
  const remedies = remediesOfJob(pack, state);
  if (remedies.length === 0) return pack;
  const onTheWay = reassembly(pack, state.reached).flatMap((piece) =>
    'setting' in piece && piece.setting !== undefined ? [piece.setting] : [],
  );
  const settings = new Set([...remedies.flatMap((remedy) => remedy.settings), ...onTheWay]);
  const proofs = new Set(remedies.flatMap((remedy) => remedy.proofs));
  return {
    settings: pack.settings.filter(({ id }) => settings.has(id)),
    proofs: proofs.size === 0 ? pack.proofs : pack.proofs.filter(({ id }) => proofs.has(id)),
  };
}
