import type { Role } from '@patient-badger/contract';

export const ROLE_NAMES: Readonly<Record<Role, string>> = { owner: 'Owner', mechanic: 'Mechanic', apprentice: 'Apprentice' };
