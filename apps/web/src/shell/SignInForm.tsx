import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shell';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { isSignOutDue } from '../data/signedOut.ts';
import { standingReader, takeStanding, tellSignedOut } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { useWide } from '../design/useMedia.ts';
import { messageOf } from '../wording/messageOf.ts';

interface Props {
  /** Whose device it was. */
  readonly name?: string | undefined;
}

/** Sends name and passphrase; whoever they belong to has the device from then on. */
export function useSignIn() {
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const device = useDeviceName();
  const signIn = async (name: string, passphrase: string, called: string = device) => {
    setBusy(true);
    setProblem(null);
    try {
      if (isSignOutDue()) await tellSignedOut();
      const next = await call('/api/sign-in', standingReader, { json: { name, passphrase, device: called }, person: null });
      choosePerson(next.person);
      takeStanding(next);
    } catch (error) {
      setProblem(messageOf(error));
    } finally {
      setBusy(false);
    }
  };
  return { signIn, problem, busy };
}

/** What it is called in the list of devices, unless somebody says otherwise. */
export const useDeviceName = () => (useWide() ? t.counter : t.phone);

/** Name and passphrase; for a device that is called something of its own also that. */
export function SignInForm({ name: was = '' }: Props) {
  const [name, setName] = useState(was);
  const [passphrase, setPassphrase] = useState('');
  const usual = useDeviceName();
  const [device, setDevice] = useState<string | null>(null);
  const { signIn, problem, busy } = useSignIn();
  const submit = () => void signIn(name.trim(), passphrase, (device ?? usual).trim());
  return (
    <View className="gap-3">
      <Field label={shared.yourName} value={name} onChangeText={setName} autoComplete="username" autoCapitalize="words" maxLength={60} />
      <Field
        label={t.passphrase}
        value={passphrase}
        onChangeText={setPassphrase}
        secureTextEntry
        autoComplete="current-password"
        maxLength={128}
        onSubmitEditing={submit}
      />
      <Field label={t.whatThisDeviceIsCalled} value={device ?? usual} onChangeText={setDevice} maxLength={80} example={t.benchPhone} />
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button
        variant="primary"
        big
        label={shared.signIn}
        testID="sign-in"
        disabled={busy || name.trim() === '' || passphrase === ''}
        onPress={submit}
      />
    </View>
  );
}
