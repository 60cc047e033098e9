import { t } from '@patient-badger/wording/families';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { searchFamilies } from './search.ts';

interface Props {
  readonly families: readonly Pack[];
  readonly chosen: string;
  readonly onChoose: (family: string) => void;
}

/** The family of a machine, found by what it is or by what it does wrong. */
export function FamilyChoice({ families, chosen, onChoose }: Props) {
  const [words, setWords] = useState('');
  const pack = families.find(({ id }) => id === chosen);
  const found = searchFamilies(families, words);
  if (pack) {
    return (
      <View className="gap-2">
        <Text variant="strong">{pack.name}</Text>
        <Text variant="soft">{pack.summary}</Text>
        <Button label={t.anotherKind} onPress={() => onChoose('')} />
      </View>
    );
  }
  return (
    <View className="gap-2">
      <Field label={t.whatIsItOrWhat} value={words} onChangeText={setWords} />
      <View role="radiogroup" aria-label={shared.kindOfChain} className="gap-2">
        {found.map(({ pack: { id, name, summary }, says }) => (
          <Button key={id} label={name} detail={says ? `“${says}”` : summary} checked={false} onPress={() => onChoose(id)} />
        ))}
      </View>
      {found.length === 0 ? <Text>{t.noKindOfChainIs}</Text> : null}
    </View>
  );
}
