import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';

/** What is said of wear. */
export const WEAR_VERDICTS = { good: t.good, watch: shared.watchIt, replace: t.replaceIt } as const;
