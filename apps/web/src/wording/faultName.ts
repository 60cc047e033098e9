import type { Pack } from '@patient-badger/core/machine';

export const faultName = ({ faults }: Pick<Pack, 'faults'>, id: string): string => faults.find((each) => each.id === id)?.name ?? id;
