import type { GearCard } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';

/** What the mechanic finds out by hand about a gear: kept with the job, with a photo of it. */
export function ByHand({ view: { job, state, machine }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [words, setWords] = useState('');
  const kept = state.remarks.filter((each) => each.startsWith(`${card.name}: `));
  const keep = async () => {
    if (words.trim() && (await write({ kind: 'remark', text: `${card.name}: ${words.trim()}` }))) setWords('');
  };
  return (
    <>
      {kept.map((each) => (
        <Text key={each} look="strong">
          {each}
        </Text>
      ))}
      <Field label="What you measured, or the part you will fit" value={words} onChangeText={setWords} multiline />
      <Button label="Write it down" disabled={words.trim() === ''} onPress={() => void keep()} />
      {problem ? <Text look="danger">{problem}</Text> : null}
      <PhotoButton jobId={job.id} about={card.id} state={state} camera={machine?.instruments ?? false} />
      <Button look="primary" big label="Set it right and prove it" onPress={() => router.navigate(`/jobs/${job.id}/close`)} />
    </>
  );
}
