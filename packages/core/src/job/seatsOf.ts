import type { MaterialId } from '../material/materials.ts';
import { materialSaid } from '../material/materialSaid.ts';
import type { Pack } from '../trace/pack.ts';
import type { SeatFacts } from '../decide/holding.ts';
import type { JobState } from './jobState.ts';

/** What was measured of a gear and its shaft, as a seat is reckoned with: the last reading of each, what was read on the seat itself first. */
export function seatOfGear(
  { driveline }: Pick<Pack, 'driveline'>,
  body: string | undefined,
  gear: JobState['gears'][string] | undefined,
): SeatFacts {
  const last = (quantity: 'boreDiameterMm' | 'faceWidthMm' | 'rootDiameterMm') => gear?.readings[quantity]?.at(-1)?.reading.value;
  const { bore, shaft } = gear?.seat ?? {};
  return {
    shaftMm: shaft?.diameterMm?.value,
    boreMm: bore?.diameterMm?.value ?? last('boreDiameterMm'),
    lengthMm: last('faceWidthMm'),
    outerMm: last('rootDiameterMm'),
    material: materialOf({ driveline }, body),
  };
}

/** What a family says a body is of, where it says one thing: of "plastic or brass" somebody has to look. */
export const materialOf = ({ driveline }: Pick<Pack, 'driveline'>, body: string | undefined): MaterialId | undefined => {
  const said = driveline.bodies.find(({ id }) => id === body)?.material ?? '';
  if (said.includes(' or ')) return undefined;
  return materialSaid(said) ?? (said.includes('steel') ? 'steel' : undefined);
};

/** The seats of a machine, by their joints, each with what was measured of the gear that sits there. */
export function seatsOf(pack: Pick<Pack, 'driveline' | 'gears'>, { gears }: Pick<JobState, 'gears'>): Readonly<Record<string, SeatFacts>> {
  const seats = pack.driveline.joints.flatMap((joint) => {
    if (joint.type !== 'seat') return [];
    const card = pack.gears.find(({ body }) => body === joint.a || body === joint.b);
    return card ? [[joint.id, seatOfGear(pack, card.body, gears[card.id])] as const] : [];
  });
  return Object.fromEntries(seats);
}
