import { t } from '@patient-badger/wording/gear';
import { formatLength } from '@patient-badger/core';
import { disagreement, type GearQuantity } from '@patient-badger/core/gear';
import type { GearReadings } from '@patient-badger/core/job';
import { lengthUnit } from '../preferences/preferences.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { KindWords } from './QuantityWords.ts';

/** Readings of one dimension that cannot be of the same thing: said, and not averaged away without a word. */
export function Disagreeing({ readings, words }: { readings: GearReadings; words: KindWords }) {
  const unit = lengthUnit.use();
  const found = (Object.keys(readings) as GearQuantity[]).flatMap((quantity) => {
    const apart = disagreement(readings[quantity]);
    const { name = quantity, kind = 'length' } = words[quantity] ?? {};
    return apart === null ? [] : [{ name, apart: kind === 'length' ? formatLength(apart, unit) : apart.toFixed(1) }];
  });
  if (found.length === 0) return null;
  return (
    <Card tone="danger">
      {found.map(({ name, apart }) => (
        <Text key={name} variant="danger">
          {t.theReadingsLieApart(name, apart)}
        </Text>
      ))}
      <Text>{t.moreThanTheInstrumentErrs}</Text>
    </Card>
  );
}
