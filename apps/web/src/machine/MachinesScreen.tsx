import { t } from '@patient-badger/wording/machine';
import { t as shared } from '@patient-badger/wording/shared';
import { useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useFamilies } from '../data/families.ts';
import { useMachines } from '../data/jobs.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useWide } from '../design/useMedia.ts';
import { Screen } from '../shell/Screen.tsx';

/** Every machine on record, found by what is known of it. */
export function MachinesScreen() {
  const router = useRouter();
  const wide = useWide();
  const families = useFamilies();
  const [words, setWords] = useState('');
  const [which, setWhich] = useState<'no' | 'yes'>('no');
  const machines = useMachines(useDeferredValue(words.trim()), undefined, which === 'yes');
  const found = machines.data?.machines;
  return (
    <Screen title={shared.machines} back="/" wide={wide}>
      <Field label={t.findByNameOwnerModel} value={words} onChangeText={setWords} />
      <Segments
        label={t.whichMachines}
        options={[
          ['no', shared.inUse],
          ['yes', t.retiredToo],
        ]}
        value={which}
        onChange={setWhich}
      />
      <View className={wide ? 'flex-row flex-wrap gap-3' : 'gap-2'}>
        {found?.map((machine) => (
          <View key={machine.id} className={wide ? 'w-[380px]' : ''}>
            <Button
              big
              label={`${machine.label}${machine.retired ? shared.retired : ''}`}
              detail={[machine.owner, machine.modelName ?? families.find(({ id }) => id === machine.family)?.name, machine.serial]
                .filter(Boolean)
                .join(' · ')}
              onPress={() => router.navigate(`/machines/${machine.id}`)}
            />
          </View>
        ))}
      </View>
      {machines.data?.more ? <Text variant="soft">{t.thereAreMoreAnotherWord}</Text> : null}
      {found?.length === 0 ? <Text>{words ? t.noMachineMatches(words) : shared.noMachineIsOnRecord}</Text> : null}
      {found ? null : <Text variant="soft">{machines.error?.message ?? shared.fetchingTheMachines}</Text>}
      <Button label={shared.models} detail={t.makesAndModelsEachWith} onPress={() => router.navigate('/models')} />
    </Screen>
  );
}
