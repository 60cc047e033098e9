import { t } from '@patient-badger/wording/instrument';
import type { InstrumentReading } from '@patient-badger/core/gear';
import type { InstrumentKind } from '@patient-badger/core/machine';
import { instrumentAnswer, type InstrumentQuestion } from '@patient-badger/contract';
import { call } from '../data/api.ts';

/** What an instrument is put to. */
export type Aim = Pick<InstrumentQuestion, 'look' | 'gear' | 'quantity' | 'zeroed' | 'unit' | 'speed' | 'play'>;

/**
 * One device on the bench. A reading has its unit and ±; a device that gives no answer throws an error
 * whose message says so in words, and typing what one sees stays possible.
 */
export interface Instrument {
  readonly kind: InstrumentKind;
  readonly name: string;
  read(aim: Aim): Promise<InstrumentReading>;
}

export const INSTRUMENT_NAMES: Readonly<Record<InstrumentKind | 'eye', string>> = {
  drillBench: t.drillBench,
  faultCodeReader: t.faultCodeReader,
  caliper: 'caliper',
  dialIndicator: t.dialIndicator,
  roadSpeedReference: t.roadSpeedReference,
  camera: t.benchCamera,
  eye: 'eye',
};

let attempt = 0;

/** The devices of the shop's bench, asked over the server; with the demo these are stand-ins. */
export function instrumentOn(jobId: string, kind: InstrumentKind): Instrument {
  return {
    kind,
    name: INSTRUMENT_NAMES[kind],
    read: async (aim) => {
      const { reading } = await ask(jobId, kind, aim);
      if (!reading) throw new Error(t.theInstrumentShowsNothing);
      return reading;
    },
  };
}

/** A picture from the bench camera, as a file to keep. */
export async function cameraPicture(jobId: string, at: Pick<Aim, 'look' | 'gear'>): Promise<Blob> {
  const { picture } = await ask(jobId, 'camera', at);
  if (!picture) throw new Error(t.theCameraShowsNothing);
  const bytes = Uint8Array.from(atob(picture.split(',')[1] ?? ''), (sign) => sign.charCodeAt(0));
  return new Blob([bytes], { type: 'image/png' });
}

const ask = (jobId: string, instrument: InstrumentKind, aim: Aim) =>
  call('/api/instruments/read', instrumentAnswer, { json: { jobId, instrument, attempt: attempt++, ...aim } satisfies InstrumentQuestion });
