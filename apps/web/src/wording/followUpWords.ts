import { t } from '@patient-badger/wording/shared';

/** What is done on the day of a follow-up. */
export const FOLLOW_UP_WORDS = { call: t.callTheOwner, look: t.lookAgain } as const;
