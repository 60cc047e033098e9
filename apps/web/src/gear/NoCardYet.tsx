import { t } from '@patient-badger/wording/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { ByHand } from './ByHand.tsx';

/** A gear the app cannot measure yet: it says so, and keeps what the mechanic finds out by hand. */
export function NoCardYet({ view, card }: { view: JobView; card: GearCard }) {
  return (
    <>
      <Text variant="title">{card.name}</Text>
      <Card tone="sunken">
        <Text variant="strong">{t.theAppHasCardsFor}</Text>
        <Text>{t.takeItByHandTeeth}</Text>
      </Card>
      <ByHand view={view} card={card} />
    </>
  );
}
