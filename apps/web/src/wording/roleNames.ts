import { t } from '@patient-badger/wording/shared';
import type { Role } from '@patient-badger/contract';

export const ROLE_NAMES: Readonly<Record<Role, string>> = { owner: t.owner, mechanic: t.mechanic, apprentice: t.apprentice };
