import { addDays, format, isValid, parseISO } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';

const SOON = [
  [1, 'Tomorrow'],
  [3, 'In three days'],
  [7, 'In a week'],
] as const;

/** The day the owner was promised the machine for: the bench goes by it. */
export function Promised({ jobId, on }: { jobId: string; on: string | null }) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const promise = (day: string) => {
    if (!/^\d{4}-\d\d-\d\d$/.test(day) || !isValid(parseISO(day))) return setWrong('A day as year-month-day, such as 2026-12-24.');
    setWrong(undefined);
    void write({ kind: 'promised', on: day });
  };
  return (
    <Card>
      <Text variant="head">{on ? `Promised for ${format(parseISO(on), 'EEEE d MMMM')}` : 'Promised for no day yet'}</Text>
      <View className="flex-row flex-wrap gap-2">
        {SOON.map(([days, label]) => (
          <Button
            key={days}
            label={label}
            testID={`promise-${days}`}
            onPress={() => promise(format(addDays(new Date(), days), 'yyyy-MM-dd'))}
          />
        ))}
        {on ? <Button variant="quiet" label="For no day" onPress={() => void write({ kind: 'promised', on: null })} /> : null}
      </View>
      <Field label="Or a day, year-month-day" value={typed} onChangeText={setTyped} problem={wrong} maxLength={10} testID="promise-day" />
      {typed ? <Button label="Promise that day" testID="promise" onPress={() => promise(typed.trim())} /> : null}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}
