import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
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
      setTold({ good: newPassphrase ? t.changedEveryOtherDeviceOf : t.changed });
      await refresh('shop', 'devices');
    } catch (error) {
      setTold({ bad: messageOf(error) });
    }
  };
  return (
    <Card>
      <Text variant="head">{t.yourPinAndPassphrase}</Text>
      <Text>{me.hasPin ? t.youHaveAPin : t.youHaveNoPinYet}</Text>
      {open ? (
        <>
          {field('passphrase', t.yourPassphraseNow)}
          {field('newPin', t.newPinFourToEight, true)}
          {field('newPassphrase', t.newPassphraseAtLeastLetters(PASSPHRASE_LEAST))}
          <Button
            variant="primary"
            label={t.change}
            disabled={passphrase === '' || (newPin === '' && newPassphrase === '')}
            onPress={() => void change()}
          />
        </>
      ) : (
        <Button label={me.hasPin ? shared.changeThem : t.setAPin} onPress={() => setOpen(true)} />
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
