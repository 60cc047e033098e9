import type { InstrumentKind, InstrumentReading } from '@patient-badger/core';
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
  drillBench: 'drill bench',
  faultCodeReader: 'fault-code reader',
  caliper: 'caliper',
  dialIndicator: 'dial indicator',
  roadSpeedReference: 'road-speed reference',
  camera: 'bench camera',
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
      if (!reading) throw new Error('The instrument shows nothing.');
      return reading;
    },
  };
}

/** A picture from the bench camera, as a file to keep. */
export async function cameraPicture(jobId: string, at: Pick<Aim, 'look' | 'gear'>): Promise<Blob> {
  const { picture } = await ask(jobId, 'camera', at);
  if (!picture) throw new Error('The camera shows nothing.');
  const bytes = Uint8Array.from(atob(picture.split(',')[1] ?? ''), (sign) => sign.charCodeAt(0));
  return new Blob([bytes], { type: 'image/png' });
}

const ask = (jobId: string, instrument: InstrumentKind, aim: Aim) =>
  call('/api/instruments/read', instrumentAnswer, { json: { jobId, instrument, attempt: attempt++, ...aim } satisfies InstrumentQuestion });
