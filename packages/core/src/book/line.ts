import { z } from 'zod';
import { torque } from '../access/step.ts';
import { deskFigures } from '../ratio/deskFigures.ts';
import { partAttributes } from '../match/schema.ts';

const id = z.string().min(1).max(80);
const text = z.string().trim().min(1).max(2000);
const number = z.string().trim().min(1).max(80);

/** One thing that is known of a machine model, from one job or one sheet. */
export const bookLine = z.discriminatedUnion('kind', [
  /** A gear as it was identified, or as the part that proved itself has it; lengths mm, angles degrees. */
  z.strictObject({ kind: z.literal('gear'), gear: id, attributes: partAttributes, probability: z.number().min(0).max(1) }),
  /** A part that went in and held in the proof. */
  z.strictObject({ kind: z.literal('partProved'), gear: id, partNumber: number, name: z.string().max(200) }),
  /** A part that was sent back, with what decided it. */
  z.strictObject({
    kind: z.literal('partRefused'),
    gear: id,
    partNumber: number,
    deciding: z.string().max(60),
    note: z.string().max(2000),
  }),
  z.strictObject({ kind: z.literal('fault'), fault: id }),
  z.strictObject({ kind: z.literal('torque'), step: id, item: id, torque }),
  /** What goes in, how much, and whose figure it is. */
  z.strictObject({ kind: z.literal('fill'), place: text.max(200), what: text.max(200), source: text.max(200) }),
  z.strictObject({ kind: z.literal('plate'), partNumber: number, where: text }),
  z.strictObject({
    kind: z.literal('speedometer'),
    driveTeeth: z.int().positive().max(300),
    drivenTeeth: z.int().positive().max(300),
    readingErrorPercent: z.number(),
    figures: deskFigures.optional(),
  }),
  /** What somebody asks for a part: a gear, or any other part by its name; in minor units of the shop's currency. */
  z.strictObject({
    kind: z.literal('price'),
    gear: id.optional(),
    what: text.max(200),
    supplier: text.max(200),
    priceMinor: z.int().min(0).max(100_000_000),
    leadDays: z.int().min(0).max(3650),
  }),
  /** A photo worth having at hand, with what it shows. */
  z.strictObject({ kind: z.literal('picture'), hash: z.string().regex(/^[0-9a-f]{64}$/), what: text.max(300) }),
  z.strictObject({ kind: z.literal('note'), text }),
]);
export type BookLine = z.infer<typeof bookLine>;

/** Two lines of one key from one job say the same thing: the later one counts. */
export function bookKey(line: BookLine): string {
  switch (line.kind) {
    case 'gear':
      return `gear/${line.gear}`;
    case 'partProved':
    case 'partRefused':
      return `part/${line.gear}/${line.partNumber}`;
    case 'fault':
      return `fault/${line.fault}`;
    case 'torque':
      return `torque/${line.step}/${line.item}`;
    case 'fill':
      return `fill/${line.place.toLowerCase()}`;
    case 'plate':
      return `plate/${line.partNumber}`;
    case 'speedometer':
      return 'speedometer';
    case 'price':
      return `price/${line.gear ?? line.what.toLowerCase()}/${line.supplier.toLowerCase()}`;
    case 'picture':
      return `picture/${line.hash}`;
    case 'note':
      return `note/${line.text.slice(0, 60).toLowerCase()}`;
  }
}
