import { t } from '@patient-badger/wording/log';
import { t as shared } from '@patient-badger/wording/shared';
import type { Entry } from '@patient-badger/core/job';
import { format, parseISO } from 'date-fns';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import Redo2 from 'lucide-react-native/icons/redo-2';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { Pressable, View } from 'react-native';
import { useShop, useWaiting } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { describeEntry } from './describeEntry.ts';

/** Everything that was written on this job, by whom and when; any line can be taken back, and put back. */
export const LogScreen = () => <JobFrame stage="log">{(view) => <Log view={view} />}</JobFrame>;

function Log({ view }: { view: JobView }) {
  const { job, state } = view;
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [remark, setRemark] = useState('');
  const say = async () => {
    if (remark.trim() && (await write({ kind: 'remark', text: remark.trim() }))) setRemark('');
  };
  return (
    <>
      <Button label={t.thisMachinesOwnRecord} testID="to-machine" onPress={() => router.navigate(`/machines/${job.machineId}`)} />
      <Field label={t.remark} value={remark} onChangeText={setRemark} multiline />
      <Button label={shared.writeItDown} disabled={remark.trim() === ''} onPress={() => void say()} />
      <Problem text={problem} />
      <View className="overflow-hidden rounded-lg border-2 border-b-0 border-line">
        {[...state.active].reverse().map((entry) => (
          <Line key={entry.id} view={view} entry={entry} />
        ))}
      </View>
      {state.withdrawn.length > 0 ? <Text variant="head">{t.takenBack}</Text> : null}
      {state.withdrawn.map((entry) => (
        <Line key={entry.id} view={view} entry={entry} gone />
      ))}
    </>
  );
}

function Line({ view: { job, pack }, entry, gone = false }: { view: JobView; entry: Entry; gone?: boolean | undefined }) {
  const colours = useColours();
  const people = useShop().data?.people ?? [];
  const waiting = useWaiting().find((item) => item.kind === 'entry' && item.entry.id === entry.id);
  const { write, problem } = useRecord(job.id);
  const withdrawal = job.entries.findLast(({ payload }) => payload.kind === 'withdrawn' && payload.entry === entry.id);
  const change = () => {
    if (!gone) void write({ kind: 'withdrawn', entry: entry.id });
    else if (withdrawal) void write({ kind: 'withdrawn', entry: withdrawal.id });
  };
  return (
    <View testID="entry" className={`border-b-2 border-line px-3 py-1 ${gone ? 'bg-sunken' : 'bg-surface'}`}>
      <View className="min-h-[48px] flex-row items-center gap-2">
        <View className="min-w-0 flex-1">
          <Text className={gone ? 'line-through' : ''}>{describeEntry(entry.payload, pack)}</Text>
          <Text variant="soft">
            {people.find(({ id }) => id === entry.by)?.name ?? entry.by}, {format(parseISO(entry.at), 'd MMM, HH:mm')}
            {waiting ? `, ${waiting.refused === undefined ? t.notSentYet : t.setAside}` : ''}
          </Text>
        </View>
        {entry.payload.kind === 'takenIn' ? null : (
          <Pressable
            role="button"
            aria-label={gone ? t.putItBack : t.takeItBack}
            onPress={change}
            className="h-12 w-12 items-center justify-center active:opacity-70"
          >
            {gone ? <Redo2 color={colours.accent} size={22} /> : <Undo2 color={colours.accent} size={22} />}
          </Pressable>
        )}
      </View>
      <Problem text={problem} />
    </View>
  );
}
