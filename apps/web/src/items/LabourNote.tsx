import { t } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';

/** Minutes as somebody says them; once there are any, they count instead of the family's. */
export function LabourNote({ jobId }: { jobId: string }) {
  const { write, problem } = useRecord(jobId);
  const [minutes, setMinutes] = useState('');
  const [what, setWhat] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const keep = async () => {
    const value = typedNumber(minutes);
    if (!(value > 0 && value <= 6000)) return setWrong(t.minutesAsOneNumberUp);
    setWrong(undefined);
    if (!(await write({ kind: 'labourNoted', minutes: value, what: what.trim() || 'work' }))) return;
    setMinutes('');
    setWhat('');
  };
  return (
    <Card>
      <Text variant="head">{t.minutesWorked}</Text>
      <View className="flex-row gap-2">
        <View className="w-[110px]">
          <Field
            label={shared.minutes}
            value={minutes}
            onChangeText={setMinutes}
            inputMode="decimal"
            problem={wrong}
            testID="labour-minutes"
          />
        </View>
        <View className="min-w-0 flex-1">
          <Field label={t.onWhatMayStayEmpty} value={what} onChangeText={setWhat} />
        </View>
      </View>
      <Problem text={problem} />
      <Button label={t.writeThemDown} testID="keep-labour" onPress={() => void keep()} />
    </Card>
  );
}
