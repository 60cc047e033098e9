import { t } from '@patient-badger/wording/shared';
import type { EntryPayload } from '@patient-badger/core/job';

export type Outcome = Extract<EntryPayload, { kind: 'closed' }>['outcome'];

export const OUTCOMES: Readonly<Record<Outcome, string>> = {
  cleaned: t.cleanedNoPart,
  repaired: t.repairedNoNewGear,
  replaced: t.partReplaced,
  returned: t.givenBackAsItWas,
  scrapped: t.notWorthItScrapped,
};
