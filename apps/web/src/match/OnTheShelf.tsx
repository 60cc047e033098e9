import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import { operations } from '../data/operations.ts';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes, MatchFit } from '@patient-badger/core/parts';
import type { ShelfItem } from '@patient-badger/contract';
import { useShelf } from '../data/jobs.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { isThere, pastText } from '../wording/shelfWords.ts';
import { Verdict } from './PartCard.tsx';

/** Below this chance a gear is not worth a look. */
export const WORTH = 0.02;

/** Donors that would do for this gear, with what they have behind them: they cost nothing and no wait. */
export function OnTheShelf({ view: { job, state }, card, wanted }: { view: JobView; card: GearCard; wanted: PartAttributes }) {
  const shelf = useShelf().data ?? [];
  const distance = distanceUnit.use();
  const { write, problem } = useRecord(job.id);
  const chosen = state.gears[card.id]?.chosen;
  const donors = donorsFor(shelf, wanted);
  if (donors.length === 0) return null;
  const choose = ({ item, fit: { probability } }: Donor) =>
    void write({
      kind: 'partChosen',
      gear: card.id,
      partId: item.id,
      partNumber: item.name,
      name: item.place,
      probability,
      source: 'shelf',
    });
  return (
    <>
      <Text variant="head">{shared.onTheShelf}</Text>
      {donors.map((donor) => (
        <Card key={donor.item.id} tone={chosen?.partId === donor.item.id ? 'next' : 'plain'}>
          <Text variant="strong">{donor.item.name}</Text>
          <Meter chance={donor.fit.probability} />
          <Verdict attributes={donor.fit.attributes} deciding={donor.fit.deciding} />
          <Text variant="soft">{pastText(donor.item, distance)}</Text>
          <Button
            label={chosen?.partId === donor.item.id ? t.chosen : t.useThisOne}
            variant={chosen?.partId === donor.item.id ? 'chosen' : 'plain'}
            detail={donor.item.inside ? t.itHasToComeOut : donor.item.place}
            testID={`donor-${donor.item.id}`}
            onPress={() => choose(donor)}
          />
        </Card>
      ))}
      <Problem text={problem} />
    </>
  );
}

interface Donor {
  readonly item: ShelfItem;
  readonly fit: MatchFit;
}

/** Donors still there that may fit, the likeliest first. */
export const donorsFor = (shelf: readonly ShelfItem[], wanted: PartAttributes): readonly Donor[] =>
  shelf
    .filter(isThere)
    .map((item) => ({ item, fit: operations.run('match.fit', { wanted, part: item.attributes }) }))
    .filter((donor) => donor.fit.probability > WORTH)
    .sort((p, q) => q.fit.probability - p.fit.probability);
