import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { lengthUnit } from '../preferences/preferences.ts';
import { readLimit } from './readLimit.ts';

/** The maker's limit, with whose figure it is. */
export function WearLimit({ jobId, gear }: { jobId: string; gear: string }) {
  const unit = lengthUnit.use();
  const { write, problem } = useRecord(jobId);
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const [source, setSource] = useState('');
  const [wrong, setWrong] = useState<string>();
  if (!open) return <Button variant="quiet" label={t.thereIsALimitOn} onPress={() => setOpen(true)} />;
  const keep = async () => {
    const limit = readLimit(typed, source, unit);
    if ('wrong' in limit) return setWrong(limit.wrong);
    if (await write({ kind: 'limitNoted', gear, ...limit })) setOpen(false);
  };
  return (
    <View className="gap-2">
      <Field label={t.howMuchThinnerATooth(unit)} value={typed} onChangeText={setTyped} inputMode="decimal" problem={wrong} />
      <Field label={shared.whoseFigureItIs} example={t.sheetAndPage} value={source} onChangeText={setSource} />
      <Problem text={problem} />
      <Button label={t.useThisLimit} onPress={() => void keep()} />
    </View>
  );
}
