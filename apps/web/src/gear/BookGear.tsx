import { differencesOf, type GearCard } from '@patient-badger/core';
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
      <Text variant="head">In the model book</Text>
      <Text>
        {attributeWords(known.attributes)
          .map(([name, value]) => `${name} ${value}`)
          .join(', ')}
      </Text>
      <Text variant="soft">
        {known.agree === known.of
          ? `So in ${known.of === 1 ? 'the one job' : `all ${known.of} jobs`} that it was measured in.`
          : `So in ${known.agree} of ${known.of} jobs.`}{' '}
        It counts beside what you read, and not against it.
      </Text>
      {differs.length > 0 ? (
        <Text variant="danger">
          What was read here says otherwise: {differs.map((each) => attributeName(each).toLowerCase()).join(', ')}. Another gear may have
          been put in, or the model was made in two ways.
        </Text>
      ) : null}
      <Button variant="quiet" label="The book of this model" onPress={() => router.navigate(`/models/${machine?.modelId}`)} />
    </Card>
  );
}
