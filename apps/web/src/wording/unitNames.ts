import { t } from '@patient-badger/wording/shared';

export const UNIT_NAMES = { mm: t.millimetres, inch: t.inches, thou: t.thou, km: t.kilometres, mile: t.miles } as const;
