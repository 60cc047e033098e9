import { t } from '@patient-badger/wording/settings';
import { t as shared } from '@patient-badger/wording/shared';
import { useState } from 'react';
import { View } from 'react-native';
import { remove, replace, sendAgain, type Waiting } from '../data/outbox.ts';
import { useJob } from '../data/jobs.ts';
import { useWaiting } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { describeEntry } from '../log/describeEntry.ts';
import { changeText, textOf } from './noteText.ts';

/** What the shop server would not take: with its reason, to be sent again, changed, or thrown away on purpose. */
export function SetAside() {
  const list = useWaiting().filter(({ refused }) => refused !== undefined);
  if (list.length === 0) return null;
  return (
    <Card tone="danger">
      <Text variant="head">{t.notesSetAside(list.length)}</Text>
      <Text>{t.theShopServerWouldNot}</Text>
      {list.map((item) => (
        <NoteSetAside key={item.key} item={item} />
      ))}
    </Card>
  );
}

function NoteSetAside({ item }: { item: Waiting }) {
  const [text, setText] = useState<string | null>(null);
  const own = textOf(item);
  const send = async () => {
    if (text !== null) await replace(changeText(item, text.trim()));
    await sendAgain(text === null ? item : changeText(item, text.trim()));
  };
  return (
    <View testID="set-aside" className="gap-2 border-t-2 border-danger pt-3">
      {item.kind === 'entry' ? <EntryLine item={item} /> : <Text variant="strong">{NAMES[item.kind]}</Text>}
      <Text>{item.refused}</Text>
      {text === null ? null : <Field label={t.whatItSays} value={text} onChangeText={setText} multiline />}
      <View className="flex-row flex-wrap gap-2">
        <Button label={text === null ? t.sendItAgain : t.sendItSo} disabled={text?.trim() === ''} onPress={() => void send()} />
        {own === null || text !== null ? null : <Button label={shared.changeIt} onPress={() => setText(own)} />}
        <Button variant="danger" label={t.throwThisNoteAway} onPress={() => void remove(item)} />
      </View>
    </View>
  );
}

const NAMES = { machine: t.aMachineWrittenDown, shelf: t.aGearPutOnThe, photo: t.aPhoto } as const;

function EntryLine({ item: { entry } }: { item: Extract<Waiting, { kind: 'entry' }> }) {
  const { open } = useJob(entry.jobId);
  return (
    <Text variant="strong">
      {open ? `${open.machine?.label ?? open.pack.name}: ${describeEntry(entry.payload, open.pack)}` : t.aNoteOnAJob}
    </Text>
  );
}
