import type { GearCard } from '@patient-badger/core';
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
        <Text variant="strong">
          The app has cards for worms and their wheels, spur and helical gears, their sectors and bevels, not yet for this one.
        </Text>
        <Text>
          Take it by hand: teeth, diameter over the tips, face width, bore and its shape, hand of the helix. Compare the new part with the
          old one before it goes in.
        </Text>
      </Card>
      <ByHand view={view} card={card} />
    </>
  );
}
