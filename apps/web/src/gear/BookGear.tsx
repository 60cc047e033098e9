import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { differencesOf } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useGearInBook } from '../data/book.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeName, attributeWords } from '../wording/attributeWords.ts';
import { useWanted } from './useWanted.ts';

/** What the book has of this gear on this model, and whether the readings bear it out. */
export function BookGear({ view, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const { machine, pack, state } = view;
  const known = useGearInBook(machine?.modelId, card.id);
  const found = useWanted(pack, card, { gear: state.gears[card.id], modelId: machine?.modelId });
  if (!known) return null;
  const differs = found ? differencesOf(known.attributes, found.attributes) : [];
  return (
    <Card tone={differs.length > 0 ? 'danger' : 'sunken'} testID="book-gear">
      <Text variant="head">{t.inTheModelBook}</Text>
      <Text>
        {attributeWords(known.attributes)
          .map(([name, value]) => `${name} ${value}`)
          .join(', ')}
      </Text>
      <Text variant="soft">
        {t.itCountsBesideWhatYou(
          known.agree === known.of
            ? t.soInThatItWas(known.of === 1 ? t.theOneJob : t.allJobs(known.of))
            : t.soInOfJobs(known.agree, known.of),
        )}
      </Text>
      {differs.length > 0 ? (
        <Text variant="danger">{t.whatWasReadHereSays(differs.map((each) => attributeName(each).toLowerCase()).join(', '))}</Text>
      ) : null}
      <Button variant="quiet" label={shared.theBookOfThisModel} onPress={() => router.navigate(`/models/${machine?.modelId}`)} />
    </Card>
  );
}
