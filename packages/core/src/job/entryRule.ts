import { fail } from '../failure/CoreFailure.ts';
import type { Pack } from '../trace/pack.ts';
import type { Entry, EntryPayload } from './entry.ts';
import type { JobDraft } from './jobDraft.ts';

type EntryHead = Omit<Entry, 'payload'>;
type IdList = readonly { readonly id: string }[];
/** Refuses an id that the list does not have. */
export type IdCheck = (list: IdList, given: string, path: string) => void;

/** Everything that one kind of entry means, in one row. */
export interface EntryRule<P extends EntryPayload = EntryPayload> {
  /** Written at the counter: it says of nobody that they had a hand in the machine. */
  readonly isDesk?: true;
  /** Work on the machine: a check that came before it has not seen it. */
  readonly isWork?: true;
  /** No work, and yet a check that came before it saw something else: a step left out, a wait cut short, a part lost. */
  readonly changesWhatWasSeen?: true;
  /** Somebody looked the work over: taken back, a job that was closed on it is open again. */
  readonly isCheck?: true;
  /** The next move of the job may be another after it; of some only where they are about a gear. */
  readonly bearsOnMove?: true | 'ofGear';
  /** What lists show of the job may be otherwise after it. */
  readonly changesRow?: true;
  /** Refuses what its machine family does not have. */
  check?(payload: P, pack: Pack, need: IdCheck): void;
  /** Makes the job what it is after it. */
  apply(draft: JobDraft, payload: P, written: EntryHead): void;
}

export const aboutGear = { check: ({ gear }: { gear: string }, { gears }: Pack, need: IdCheck) => need(gears, gear, 'gear') };
export const perhapsAboutGear = {
  check: ({ gear }: { gear?: string | undefined }, { gears }: Pack, need: IdCheck) =>
    void (gear !== undefined && need(gears, gear, 'gear')),
};
/** No door leads round it: what can hurt somebody is neither saved nor made here, and not written down as if it were. */
export const onlyWhereNobodyIsHurt = (path: string, reason: 'safetyCriticalNotSaved' | 'safetyCriticalNotMade') => ({
  check(payload: { gear: string }, pack: Pack, need: IdCheck) {
    aboutGear.check(payload, pack, need);
    if (pack.safetyCritical) throw fail('invalid', path, { reason, name: pack.name });
  },
});
export const aboutStep = { check: ({ step }: { step: string }, { steps }: Pack, need: IdCheck) => need(steps, step, 'step') };
export const aboutWait = {
  check: ({ wait }: { wait: string }, { steps, closing }: Pack, need: IdCheck) =>
    need(
      [...steps, ...closing].flatMap((each) => each.wait ?? []),
      wait,
      'wait',
    ),
};
export const aboutLoose = {
  check({ step, item }: { step: string; item: string }, { steps }: Pack, need: IdCheck) {
    need(steps, step, 'step');
    need(steps.find(({ id }) => id === step)?.loose ?? [], item, 'item');
  },
};
export const placeOf = ({ step, capture }: { step: string; capture: string }) => JSON.stringify([step, capture]);
export const needCapture = ({ step, capture }: { step: string; capture: string }, { steps }: Pack, need: IdCheck) => {
  need(steps, step, 'step');
  need(steps.find(({ id }) => id === step)?.captures ?? [], capture, 'capture');
};
