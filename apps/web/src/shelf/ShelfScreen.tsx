import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shelf';
import { shelfItem, type ShelfItem } from '@patient-badger/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { useShelf } from '../data/jobs.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { attributeLine } from '../wording/attributeWords.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { isThere, pastText } from '../wording/shelfWords.ts';
import { useWide } from '../design/useMedia.ts';
import { messageOf } from '../wording/messageOf.ts';

/** Used gears kept for their teeth: on the shelf, and still inside machines in the yard. */
export function ShelfScreen() {
  const router = useRouter();
  const wide = useWide();
  const shelf = useShelf();
  const [sought, setSought] = useState('');
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = (shelf.data ?? []).filter((item) => words.every((word) => textOf(item).includes(word)));
  const here = found.filter(isThere);
  const left = found.filter((item) => !here.includes(item));
  const groups = [
    [shared.onTheShelf, here.filter(({ inside }) => !inside)],
    [t.stillInsideAMachine, here.filter(({ inside }) => inside)],
    [t.noLongerThere, left],
  ] as const;
  return (
    <Screen
      title={t.donorShelf}
      back="/"
      wide={wide}
      foot={<Button variant="primary" big label={t.putAGearOnThe} testID="add-donor" onPress={() => router.navigate('/shelf/add')} />}
    >
      <Field label={t.findByKindTeethMachine} value={sought} onChangeText={setSought} testID="shelf-text" />
      {shelf.data ? null : <Text variant="soft">{shelf.error?.message ?? t.lookingAtTheShelf}</Text>}
      {shelf.data && found.length === 0 ? (
        <Card tone="sunken">
          <Text variant="strong">{sought ? t.nothingHereMatches : t.theShelfIsEmpty}</Text>
          <Text>{t.whenAMachineIsScrapped}</Text>
        </Card>
      ) : null}
      {groups.map(([name, items]) =>
        items.length === 0 ? null : (
          <View key={name} className="gap-3">
            <Text variant="head">
              {name}: {items.length}
            </Text>
            <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-3'}>
              {items.map((item) => (
                <View key={item.id} className={wide ? 'w-[380px]' : ''}>
                  <Donor item={item} />
                </View>
              ))}
            </View>
          </View>
        ),
      )}
    </Screen>
  );
}

const textOf = (item: ShelfItem) =>
  `${item.name} ${item.cameFrom} ${item.place} ${item.note} ${attributeLine(item.attributes)}`.toLowerCase();

function Donor({ item }: { item: ShelfItem }) {
  const router = useRouter();
  const { usedIn } = item;
  const distance = distanceUnit.use();
  return (
    <Card tone={isThere(item) ? 'plain' : 'sunken'}>
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="strong" className="flex-1">
          {item.name}
        </Text>
        <Text variant="label">{item.place}</Text>
      </View>
      <Text>{attributeLine(item.attributes)}</Text>
      <Text variant="soft">{pastText(item, distance)}</Text>
      {usedIn ? <Button variant="quiet" label={t.fittedToThatJob} onPress={() => router.navigate(`/jobs/${usedIn}`)} /> : null}
      {usedIn === null ? <WriteOff item={item} /> : null}
    </Card>
  );
}

/** Off the shelf with a reason, and back where it was a mistake. */
function WriteOff({ item }: { item: ShelfItem }) {
  const client = useQueryClient();
  const [why, setWhy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const tell = async (reason: string | null) => {
    try {
      await call(`/api/shelf/${item.id}/gone`, shelfItem, { json: { why: reason } });
      await client.invalidateQueries({ queryKey: ['shelf'] });
      setWhy(null);
      setProblem(null);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return (
    <>
      {item.gone === null ? null : <Text variant="danger">{item.gone}</Text>}
      {why === null ? (
        <Button
          variant="quiet"
          label={item.gone === null ? t.itIsNoLongerThere : t.itIsThereAfterAll}
          onPress={() => (item.gone === null ? setWhy('') : void tell(null))}
        />
      ) : (
        <>
          <Field label={t.whatBecameOfIt} value={why} onChangeText={setWhy} />
          <View className="flex-row gap-2">
            <Button className="flex-1" label={shared.leaveIt} onPress={() => setWhy(null)} />
            <Button className="flex-1" label={t.writeItOff} disabled={why.trim() === ''} onPress={() => void tell(why.trim())} />
          </View>
        </>
      )}
      <Problem text={problem} />
    </>
  );
}
