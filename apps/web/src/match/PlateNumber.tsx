import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import type { JobState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';

/** A part number read off the machine, kept with where its plate is so that nobody looks for it twice. */
export function PlateNumber({ view: { job, state }, card }: { view: JobView; card: GearCard }) {
  const { write, problem } = useRecord(job.id);
  const [open, setOpen] = useState(false);
  const [partNumber, setPartNumber] = useState('');
  const [where, setWhere] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const plates = platesFor(state, card);
  const keep = async () => {
    if (!partNumber.trim() || !where.trim()) return setRefusal(t.writeTheNumberAndWhere);
    setRefusal(null);
    if (!(await write({ kind: 'plateRead', partNumber: partNumber.trim(), where: where.trim(), gear: card.id }))) return;
    setOpen(false);
    setPartNumber('');
    setWhere('');
  };
  return (
    <>
      {plates.map((plate) => (
        <Text key={plate.partNumber} testID="plate-kept">
          {t.onTheMachine(plate.partNumber, plate.where)}
        </Text>
      ))}
      {open ? (
        <Card>
          <Field label={t.numberOnThePlate} value={partNumber} onChangeText={setPartNumber} testID="plate-number" />
          <Field label={t.whereThePlateIs} value={where} onChangeText={setWhere} testID="plate-where" />
          <Problem text={refusal ?? problem} />
          <Button variant="primary" label={shared.writeItDown} testID="keep-plate" onPress={() => void keep()} />
        </Card>
      ) : (
        <Button variant="quiet" label={t.thereIsANumberOn} testID="plate" onPress={() => setOpen(true)} />
      )}
    </>
  );
}

/** Numbers read off the machine that may be this gear's. */
export const platesFor = ({ plates }: Pick<JobState, 'plates'>, { id }: GearCard): JobState['plates'] =>
  plates.filter(({ gear }) => gear === undefined || gear === id);
