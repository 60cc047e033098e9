import type { Payload } from '@patient-badger/core/job';

/** What was set, and whose figure that is where it was said. */
export const settingText = ({ figures, source }: Pick<Payload<'settingMade'>, 'figures' | 'source'>): string =>
  source ? `${figures} (${source})` : figures;
