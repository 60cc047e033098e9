import type { GearCard } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';

/** A gear the app cannot measure or match yet: it says so, and keeps what the mechanic finds out by hand. */
export function NoCardYet({ view: { job, state, machine }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [words, setWords] = useState('');
  const kept = state.remarks.filter((each) => each.startsWith(`${card.name}: `));
  const keep = async () => {
    if (words.trim() && (await write({ kind: 'remark', text: `${card.name}: ${words.trim()}` }))) setWords('');
  };
  return (
    <>
      <Text look="title">{card.name}</Text>
      <Card tone="sunken">
        <Text look="strong">The app can measure and match worms so far, not yet this gear.</Text>
        <Text>
          Take it by hand: teeth, diameter over the tips, face width, bore and its shape, hand of the helix. Compare the new part with the
          old one before it goes in.
        </Text>
      </Card>
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
