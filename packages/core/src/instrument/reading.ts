import { z } from 'zod';
import { INSTRUMENT_KINDS } from '../trace/pack.ts';

/** Units that a display shows. `codes` is the number of a stored fault code, 0 for none. */
export const READING_UNITS = ['mm', 'in', 'deg', 'turns', 'percent', 'codes', 'teeth', 'N·m', 'min', 'km/h'] as const;

/** What an instrument shows. A count has no ±; a display that does not stand at nought says so in `atRest`. */
export const instrumentReading = z.strictObject({
  instrument: z.enum([...INSTRUMENT_KINDS, 'eye']),
  value: z.number(),
  unit: z.enum(READING_UNITS),
  /** One standard deviation of the instrument and the hand. */
  plusMinus: z.number().min(0).optional(),
  /** What the display showed before anything moved. */
  atRest: z.number().optional(),
  /** The other side, read at the same time. */
  beside: z.number().optional(),
  /** Turns or millimetres that were put in where the chain was driven; less than asked for where it would not turn. */
  putIn: z.number().optional(),
});
export type InstrumentReading = z.infer<typeof instrumentReading>;

/** The reading with the display's own error at rest taken off. */
export const trueValue = ({ value, atRest = 0 }: InstrumentReading): number => value - atRest;
