import { methodSentence } from '@patient-badger/wording/readings';
import type { GearQuantity, NextMeasurement } from '@patient-badger/core/gear';
import { tellsApart } from './NextReading.tsx';
import type { QuantityWords } from './QuantityWords.ts';

/** The reading that an operation advises, in words of the card; null where it advises none that is read on it. */
export function advisedReading<Quantity extends GearQuantity>(
  next: NextMeasurement | undefined,
  quantities: Readonly<Record<string, Quantity>>,
  words: Readonly<Record<Quantity, QuantityWords>>,
) {
  const quantity = next && quantities[next.quantity];
  if (!next || !quantity) return null;
  return {
    quantity,
    ...(next.over !== undefined && { over: next.over }),
    name: words[quantity].name,
    how: methodSentence(next),
    why: tellsApart(next.expectedBits),
  };
}
