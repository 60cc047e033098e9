import type { Pack } from '@patient-badger/core';
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
        <Button label="Another kind" onPress={() => onChoose('')} />
      </View>
    );
  }
  return (
    <View className="gap-2">
      <Field label="What is it, or what does it do wrong?" value={words} onChangeText={setWords} />
      <View role="radiogroup" aria-label="Kind of chain" className="gap-2">
        {found.map(({ pack: { id, name, summary }, says }) => (
          <Button key={id} label={name} detail={says ? `“${says}”` : summary} checked={false} onPress={() => onChoose(id)} />
        ))}
      </View>
      {found.length === 0 ? <Text>No kind of chain is known by these words. Try what the owner sees or hears.</Text> : null}
    </View>
  );
}
