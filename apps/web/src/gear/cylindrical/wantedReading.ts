import { t } from '@patient-badger/wording/gear';
import { methodSentence } from '@patient-badger/wording/readings';
import type { CylindricalQuantity, Identification } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { tellsApart } from '../NextReading.tsx';
import { CYLINDRICAL_WORDS } from './words.ts';

export interface ReadingRequest {
  readonly quantity: CylindricalQuantity;
  readonly name: string;
  readonly how: string;
  readonly why: string;
  /** Teeth to measure over, where the advice says how many. */
  readonly over?: number;
}

/** What to read next off a spur or helical gear: first what nothing can be said without, then what tells most. */
export function wantedReading(card: GearCard, { readings }: GearState, found: Identification | undefined): ReadingRequest | null {
  if (card.type === 'sector' && !readings.arcDeg) return of('arcDeg', t.aSectorHasNoFull);
  if (!readings.teeth && !readings.arcDeg) {
    return of('teeth', t.nothingCanBeSaidWithout);
  }
  if (card.type === 'helical' && !readings.helixAngleDeg) return of('helixAngleDeg', t.withoutItTheTeethWould);
  if (!readings.tipDiameterMm && !readings.spanMm && !readings.rootDiameterMm) {
    return readings.teeth ? of('tipDiameterMm', t.theQuickestLookAtThe) : of('spanMm', t.nothingLiesOppositeTheTeeth);
  }
  const advice = found?.nextMeasurement;
  if (!advice) return null;
  const { expectedBits, spanTeeth } = advice;
  const quantity = advice.quantity as CylindricalQuantity;
  const name = spanTeeth === undefined ? CYLINDRICAL_WORDS[quantity].name : t.spanOverTeethWithSpanTeeth(spanTeeth);
  return {
    quantity,
    name,
    how: methodSentence(advice),
    why: tellsApart(expectedBits),
    ...(spanTeeth !== undefined && { over: spanTeeth }),
  };
}

function of(quantity: CylindricalQuantity, why: string): ReadingRequest {
  const { name, how } = CYLINDRICAL_WORDS[quantity];
  return { quantity, name, how, why };
}
