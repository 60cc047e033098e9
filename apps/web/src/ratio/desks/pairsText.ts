import { t } from '@patient-badger/wording/ratio';

/** The pairs of a train, one after the other. @example pairsText([{ driver: 12, driven: 36 }]) // '12 : 36' */
export const pairsText = (stages: readonly { readonly driver: number; readonly driven: number }[]): string =>
  stages.map(({ driver, driven }) => `${driver} : ${driven}`).join(t.then);
