import type { z } from 'zod';
import type { section, SHAPES } from '../fit/bore.ts';
import type { BORE_SHAPES, GEAR_TYPES } from '../match/schema.ts';
import type { Readings } from './readings.ts';

type Section = z.output<typeof section>;

/** What a job knows of one of its gears, as far as its dimensions go. */
export interface MeasuredGear<Quantity extends string = string> {
  readonly readings: Readings<Quantity>;
  readonly hand?: 'right' | 'left';
  /** Bore and shaft as they were measured. */
  readonly seat?: { readonly shape: (typeof SHAPES)[number]; readonly bore: Section; readonly shaft: Section };
}

/** What a family says of a gear before anybody has measured it. */
export interface GearOfFamily {
  readonly type: (typeof GEAR_TYPES)[number] | 'other';
  readonly body: string;
  readonly boreShape?: (typeof BORE_SHAPES)[number] | undefined;
}
