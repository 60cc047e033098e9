import type { Person } from '@patient-badger/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { standingReader, takeStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { messageOf } from '../wording/messageOf.ts';

interface Props {
  readonly person: Pick<Person, 'id' | 'name' | 'hasPin'>;
  readonly action: string;
  readonly onDone?: (() => void) | undefined;
}

/** Somebody shows that it is them, by PIN or by passphrase, and has the device from then on. */
export function ProveForm({ person, action, onDone }: Props) {
  const [byPin, setByPin] = useState(person.hasPin);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const prove = async () => {
    try {
      const json = { person: person.id, ...(byPin ? { pin: typed } : { passphrase: typed }) };
      const next = await call('/api/switch', standingReader, { json, person: null });
      choosePerson(next.person);
      takeStanding(next);
      onDone?.();
    } catch (error) {
      setProblem(messageOf(error));
      setTyped('');
    }
  };
  return (
    <View className="gap-2">
      <Field
        label={`${byPin ? 'PIN' : 'Passphrase'} of ${person.name}`}
        value={typed}
        onChangeText={setTyped}
        secureTextEntry
        autoFocus
        inputMode={byPin ? 'numeric' : 'text'}
        autoComplete={byPin ? 'off' : 'current-password'}
        maxLength={byPin ? 8 : 128}
        onSubmitEditing={() => void prove()}
      />
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button variant="primary" label={action} testID="prove" disabled={typed === ''} onPress={() => void prove()} />
      {person.hasPin ? (
        <Button variant="quiet" label={byPin ? 'By passphrase instead' : 'By PIN instead'} onPress={() => setByPin(!byPin)} />
      ) : null}
    </View>
  );
}
