import type { OperationOutput } from '@patient-badger/core';
import type { GearKind } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { plain } from '@patient-badger/core';
import { kindFor } from '../gear/kinds.ts';
import { useAnswer } from '../gear/useIdentified.ts';
import type { JobView } from '../job/JobView.ts';
import type { TypedGear } from './makeQuestion.ts';

type Candidate = OperationOutput<'gear.cylindrical.identify'>['candidates'][number];

const text = (value: number, places: number) => String(Number(value.toFixed(places)));

/** What the job's readings say of the gear, as the form has it; and how much is worn off its teeth. */
export function useMeasuredGear(
  { pack, state }: JobView,
  card: GearCard,
): { readonly known: Partial<TypedGear>; readonly thinningMm: number } {
  const kind: GearKind | undefined = kindFor(pack, card)?.kind;
  const gear = state.gears[card.id];
  const isCylindrical = kind?.identification?.operation === 'gear.cylindrical.identify';
  const { data } = useAnswer<{ candidates: readonly Candidate[] }>(isCylindrical ? kind.identification : undefined, gear);
  const [best] = data?.candidates ?? [];
  const read = (quantity: 'faceWidthMm' | 'boreDiameterMm' | 'teeth') => gear?.readings[quantity]?.at(-1)?.reading.value;
  const [face, bore, teeth] = [read('faceWidthMm'), read('boreDiameterMm'), read('teeth')];
  const flat = gear?.seat?.shape === 'dFlat' ? gear.seat.bore.acrossFlatsMm : undefined;
  return {
    known: {
      ...(teeth !== undefined && { teeth: String(teeth) }),
      ...(best && {
        teeth: String(best.teeth),
        moduleMm: text(best.normalModuleMm, 4),
        pressureAngleDeg: text(best.pressureAngleDeg, 2),
        helixAngleDeg: text(best.helixAngleDeg, 2),
        profileShift: text(best.profileShift, 3),
      }),
      ...(face !== undefined && { faceMm: text(face, 2) }),
      ...(bore !== undefined && { boreMm: text(bore, 2) }),
      ...(flat !== undefined && { bore: 'dFlat', flatMm: text(plain(flat), 2) }),
    },
    thinningMm: best?.toothThinningMm ?? 0,
  };
}
