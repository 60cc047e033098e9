import { instrumentReading, READING_UNITS } from '@patient-badger/core/gear';
import { z } from 'zod';

/** What an instrument on the bench is asked. */
export const instrumentQuestion = z
  .strictObject({
    jobId: z.uuid(),
    instrument: instrumentReading.shape.instrument.exclude(['eye']),
    /** The look it is read for; or the gear and the dimension. */
    look: z.string().max(80).optional(),
    gear: z.string().max(80).optional(),
    quantity: z.string().max(80).optional(),
    /** The road-speed reference: what the needle is held at. */
    speed: z.number().positive().max(2000).optional(),
    /** The dial indicator on a gear whose mate is held; with an eccentric sleeve at this angle. */
    play: z.strictObject({ sleeveDeg: z.number().min(-360).max(360).optional() }).optional(),
    /** The display was set to nought first. */
    zeroed: z.boolean().default(false),
    /** Counts the readings of this window, so that no two are alike. */
    attempt: z.int().min(0).max(100_000).default(0),
    unit: z.enum(READING_UNITS).optional(),
  })
  .meta({ id: 'InstrumentQuestion' });
export type InstrumentQuestion = z.input<typeof instrumentQuestion>;

export const instrumentAnswer = z
  .object({
    reading: instrumentReading.optional(),
    /** A camera's picture, as a data address. */
    picture: z.string().optional(),
  })
  .meta({ id: 'InstrumentAnswer' });
export type InstrumentAnswer = z.infer<typeof instrumentAnswer>;
