import { z } from 'zod';

const typed = z.string().max(80);

/** What a speedometer was reckoned from, as it was typed: the next job of that model begins with it. */
export const deskFigures = z.strictObject({
  tyre: typed,
  axleRatio: typed,
  cable: typed,
  cablePer: z.enum(['mile', 'km']),
  drive: typed,
  driven: typed,
});
