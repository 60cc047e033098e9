import type { InstrumentReading } from '@patient-badger/core/gear';
import { useState } from 'react';
import type { Aim, Instrument } from './instruments.ts';
import { messageOf } from '../wording/messageOf.ts';

/** Reads an instrument and keeps what it showed, or why it showed nothing. */
export function useInstrument(instrument: Instrument) {
  const [reading, setReading] = useState<InstrumentReading | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const read = async (aim: Aim): Promise<InstrumentReading | null> => {
    setBusy(true);
    try {
      const shown = await instrument.read(aim);
      setReading(shown);
      setProblem(null);
      return shown;
    } catch (error) {
      setReading(null);
      setProblem(messageOf(error));
      return null;
    } finally {
      setBusy(false);
    }
  };
  return { reading, problem, busy, read };
}
