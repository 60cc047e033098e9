import type { PartAttributes } from '../match/schema.ts';
import type { GearCard, Pack } from '../trace/pack.ts';
import type { JobState } from './jobState.ts';

/** What follows from the count that a gear has now, and is another with another count. */
const OF_COUNT: readonly string[] = ['tipDiameterMm', 'outsideDiameterMm', 'pitchDiameterMm', 'centreDistanceMm', 'mateTeeth'];

/**
 * The gear to look for once a pair was chosen at the ratio desk: the one that was measured, with the chosen count. Its pitch, helix, hand,
 * bore and width stay; what follows from the count is left to the part. Null where no pair was chosen, or the gear is none of it.
 */
export function byKeptRatio(
  { driveline, proofs, gears }: Pick<Pack, 'driveline' | 'proofs' | 'gears'>,
  { card, measured }: { readonly card: GearCard; readonly measured: PartAttributes },
  { ratioChosen }: Pick<JobState, 'ratioChosen'>,
): PartAttributes | null {
  if (!ratioChosen || !proofs.some(({ desk }) => desk === 'speedometer')) return null;
  const isCard = (body: string) => gears.some((each) => each.body === body);
  const pair = driveline.joints.find((joint) => joint.type === 'mesh' && isCard(joint.a) && isCard(joint.b));
  if (pair?.type !== 'mesh') return null;
  const counts: Readonly<Record<string, number>> = { [pair.a]: ratioChosen.driveTeeth, [pair.b]: ratioChosen.drivenTeeth };
  const teeth = counts[card.body];
  if (teeth === undefined || teeth === measured.teeth) return null;
  const kept: PartAttributes = Object.fromEntries(Object.entries(measured).filter(([name]) => !OF_COUNT.includes(name)));
  return { ...kept, teeth };
}
