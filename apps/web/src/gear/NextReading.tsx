import { t } from '@patient-badger/wording/gear';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** The reading worth taking next, with its reason. */
export function NextReading({ name, how, why, onPress }: { name: string; how: string; why: string; onPress: () => void }) {
  return (
    <Card tone="next">
      <Text variant="label">{t.measureThisNext}</Text>
      <Text variant="head">{name}</Text>
      <Text>{how}</Text>
      <Text variant="soft">{why}</Text>
      <Button label={t.measureIt} testID="measure-next" onPress={onPress} />
    </Card>
  );
}

export const tellsApart = (bits: number): string => t.itTellsTheCandidatesApart(bits.toFixed(1));

/** Readings that cannot all be right. */
export const Contradiction = ({ error }: { error: Error }) => (
  <Card tone="danger">
    <Text variant="danger">{error.message}</Text>
    <Text>{t.theReadingsAreKeptTake}</Text>
  </Card>
);
