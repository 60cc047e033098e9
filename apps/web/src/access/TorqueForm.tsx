import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import { TORQUE_UNITS } from '@patient-badger/core';
import { type Torque } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { torqueUnit } from '../preferences/preferences.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { typedNumber } from '../design/typedNumber.ts';

/** The maker's figure for a screw, with its unit and where it stands; the app quotes none of its own. */
export function TorqueForm({ jobId, step, item, known }: { jobId: string; step: string; item: string; known: Torque | undefined }) {
  const { write, problem } = useRecord(jobId);
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const [unit, setUnit] = useState<Torque['unit']>(torqueUnit.get);
  const [source, setSource] = useState('');
  const value = typedNumber(typed);
  const wrong = typed.trim() !== '' && !(Number.isFinite(value) && value > 0);
  if (!open) {
    return (
      <Button
        variant="quiet"
        label={known ? t.anotherTorque : t.torqueFromTheSheet}
        testID={`torque-${item}`}
        onPress={() => setOpen(true)}
      />
    );
  }
  const keep = async () => {
    if (await write({ kind: 'torqueNoted', step, item, torque: { value, unit, source: source.trim() } })) setOpen(false);
  };
  return (
    <View className="gap-2">
      <Field
        label={shared.torque}
        inputMode="decimal"
        value={typed}
        onChangeText={setTyped}
        problem={wrong ? t.typeItAsANumberAbove : undefined}
      />
      <Segments label={shared.unit} options={TORQUE_UNITS.map((each) => [each, each] as const)} value={unit} onChange={setUnit} />
      <Field label={t.whereDoesItStandMakers} value={source} onChangeText={setSource} />
      <Button
        label={t.keepTheTorque}
        disabled={typed.trim() === '' || wrong || source.trim() === ''}
        testID={`keep-torque-${item}`}
        onPress={() => void keep()}
      />
      <Problem text={problem} />
    </View>
  );
}
