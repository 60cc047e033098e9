import { t } from '@patient-badger/wording/families';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFamilies, useOwnFamilies } from '../data/families.ts';
import { useMachineCounts } from '../data/jobs.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { searchFamilies, type FamilyMatch } from './search.ts';
import { useWide } from '../design/useMedia.ts';

/** Every machine family the shop can follow, found by what it is or by what owners say. */
export function FamiliesScreen() {
  const router = useRouter();
  const wide = useWide();
  const families = useFamilies();
  const [words, setWords] = useState('');
  const found = searchFamilies(families, words);
  return (
    <Screen title={shared.machineFamilies} under={t.kindsOfChain(families.length)} back="/" wide={wide}>
      <Field label={t.whatDoesTheOwnerSay} value={words} onChangeText={setWords} />
      <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-3'}>
        {found.map((family) => (
          <View key={family.pack.id} className={wide ? 'w-[380px]' : ''}>
            <FamilyCard found={family} />
          </View>
        ))}
      </View>
      {found.length === 0 ? (
        <Card tone="sunken">
          <Text variant="strong">{t.noFamilyIsKnownBy}</Text>
          <Text>{t.tryWhatTheOwnerSees}</Text>
        </Card>
      ) : null}
      <Button label={t.practise} detail={t.onAMachineWithA} testID="practise" onPress={() => router.navigate('/practice')} />
      <Button label={t.bringInAFamilyOf} onPress={() => router.navigate('/families/import')} />
    </Screen>
  );
}

function FamilyCard({ found: { pack, says } }: { found: FamilyMatch }) {
  const router = useRouter();
  const count = useMachineCounts().data?.[pack.id] ?? 0;
  return (
    <LinkArea
      onPress={() => router.navigate(`/families/${pack.id}`)}
      className="gap-1 rounded-lg border-2 border-line bg-surface p-4 active:opacity-70"
    >
      <Text variant="strong">{pack.name}</Text>
      {says ? <Text>“{says}”</Text> : <Text variant="soft">{pack.summary}</Text>}
      <Text variant="label">
        {countText(count)}
        <Marks pack={pack} />
      </Text>
    </LinkArea>
  );
}

function Marks({ pack }: { pack: Pack }) {
  const own = useOwnFamilies().data?.some(({ id }) => id === pack.id) ?? false;
  return [pack.safetyCritical ? t.safetyCritical : '', own ? t.yourOwn : ''].join('');
}

const countText = (count: number) => (count === 0 ? t.noMachineOnRecord : t.onRecord(count, count === 1 ? 'machine' : 'machines'));
