import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shell';
import type { Person } from '@patient-badger/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { signed, untilSent } from '../data/outbox.ts';
import { tellPutDown } from '../data/putDown.ts';
import { standing } from '../data/signedOut.ts';
import { standingReader, takeStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { messageOf } from '../wording/messageOf.ts';

interface Props {
  readonly person: Pick<Person, 'id' | 'name' | 'hasPin'>;
  readonly action: string;
  /** Entries of theirs that they sign with it, at this moment. */
  readonly signs?: readonly string[];
  readonly onDone?: (() => void) | undefined;
}

/** What whoever held the device has written goes out before it changes hands; so long is that waited for. */
const SENDING_MS = 4000;

/** Somebody shows that it is them, by PIN or by passphrase, and has the device from then on. */
export function ProveForm({ person, action, signs = [], onDone }: Props) {
  const [byPin, setByPin] = useState(person.hasPin);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const prove = async () => {
    try {
      await tellPutDown();
      await untilSent(standing.get()?.proven ?? [], SENDING_MS);
      const json = { person: person.id, ...(byPin ? { pin: typed } : { passphrase: typed }), ...(signs.length > 0 && { signs }) };
      const next = await call('/api/switch', standingReader, { json, person: null });
      choosePerson(next.person);
      takeStanding(next);
      await signed(signs);
      onDone?.();
    } catch (error) {
      setProblem(messageOf(error));
      setTyped('');
    }
  };
  return (
    <View className="gap-2">
      <Field
        label={shared.ofWithPartsInVainAndMore(byPin ? t.pin : t.passphrase, person.name)}
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
        <Button variant="quiet" label={byPin ? t.byPassphraseInstead : t.byPinInstead} onPress={() => setByPin(!byPin)} />
      ) : null}
    </View>
  );
}
