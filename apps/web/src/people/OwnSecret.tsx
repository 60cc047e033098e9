import { PASSPHRASE_LEAST } from '@patient-badger/contract';
import { useState } from 'react';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { useMe } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { messageOf } from '../wording/messageOf.ts';

/** What a browser that keeps passphrases is told of each field. */
const AUTO_COMPLETE = { passphrase: 'current-password', newPassphrase: 'new-password', newPin: 'off' } as const;

/** One's own PIN and passphrase, by the passphrase one has. */
export function OwnSecret() {
  const me = useMe();
  const refresh = useRefresh();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState({ passphrase: '', newPin: '', newPassphrase: '' });
  const [told, setTold] = useState<{ readonly bad?: string; readonly good?: string }>({});
  if (!me) return null;
  const { passphrase, newPin, newPassphrase } = typed;
  const field = (name: keyof typeof typed, label: string, numeric = false) => (
    <Field
      label={label}
      value={typed[name]}
      onChangeText={(next) => setTyped({ ...typed, [name]: next })}
      secureTextEntry
      inputMode={numeric ? 'numeric' : 'text'}
      autoComplete={AUTO_COMPLETE[name]}
      maxLength={numeric ? 8 : 128}
    />
  );
  const change = async () => {
    try {
      const json = { passphrase, ...(newPin && { newPin }), ...(newPassphrase && { newPassphrase }) };
      await call('/api/me/secret', z.object({ done: z.literal(true) }), { json });
      setTyped({ passphrase: '', newPin: '', newPassphrase: '' });
      setTold({ good: newPassphrase ? 'Changed. Every other device of yours has to sign in again.' : 'Changed.' });
      await refresh('shop', 'devices');
    } catch (error) {
      setTold({ bad: messageOf(error) });
    }
  };
  return (
    <Card>
      <Text variant="head">Your PIN and passphrase</Text>
      <Text>{me.hasPin ? 'You have a PIN.' : 'You have no PIN yet: with one you take over a bench phone in a moment.'}</Text>
      {open ? (
        <>
          {field('passphrase', 'Your passphrase now')}
          {field('newPin', 'New PIN, four to eight figures', true)}
          {field('newPassphrase', `New passphrase, at least ${PASSPHRASE_LEAST} letters`)}
          <Button
            variant="primary"
            label="Change"
            disabled={passphrase === '' || (newPin === '' && newPassphrase === '')}
            onPress={() => void change()}
          />
        </>
      ) : (
        <Button label={me.hasPin ? 'Change them' : 'Set a PIN'} onPress={() => setOpen(true)} />
      )}
      {told.bad ? (
        <Text variant="danger" role="alert">
          {told.bad}
        </Text>
      ) : null}
      {told.good ? <Text role="status">{told.good}</Text> : null}
    </Card>
  );
}
