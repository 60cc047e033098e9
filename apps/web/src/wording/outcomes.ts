import { type EntryPayload } from '@patient-badger/core';

export type Outcome = Extract<EntryPayload, { kind: 'closed' }>['outcome'];

export const OUTCOMES: Readonly<Record<Outcome, string>> = {
  cleaned: 'Cleaned, no part',
  repaired: 'Repaired, no new gear',
  replaced: 'Part replaced',
  returned: 'Given back as it was',
  scrapped: 'Not worth it, scrapped',
};
