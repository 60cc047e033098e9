import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { addDays, format, isValid, parseISO } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { DateField } from '../design/DateField.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';

const SOON = [
  [1, t.tomorrow],
  [3, t.inThreeDays],
  [7, t.inAWeek],
] as const;

/** The day the owner was promised the machine for: the bench goes by it. */
export function Promised({ jobId, on }: { jobId: string; on: string | null }) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const promise = (day: string) => {
    if (!/^\d{4}-\d\d-\d\d$/.test(day) || !isValid(parseISO(day))) return setWrong(t.pickADay);
    setWrong(undefined);
    void write({ kind: 'promised', on: day });
  };
  return (
    <Card>
      <Text variant="head">{on ? shared.promisedFor(format(parseISO(on), 'EEEE d MMMM')) : t.promisedForNoDayYet}</Text>
      <View className="flex-row flex-wrap gap-2">
        {SOON.map(([days, label]) => (
          <Button
            key={days}
            label={label}
            testID={`promise-${days}`}
            onPress={() => promise(format(addDays(new Date(), days), 'yyyy-MM-dd'))}
          />
        ))}
        {on ? <Button variant="quiet" label={t.forNoDay} onPress={() => void write({ kind: 'promised', on: null })} /> : null}
      </View>
      <DateField label={t.orADay} value={typed} onChange={setTyped} problem={wrong} testID="promise-day" />
      {typed ? <Button label={t.promiseThatDay} testID="promise" onPress={() => promise(typed.trim())} /> : null}
      <Problem text={problem} />
    </Card>
  );
}
