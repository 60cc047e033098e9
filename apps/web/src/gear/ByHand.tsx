import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';

/** What the mechanic finds out by hand about a gear: kept with the job, with a photo of it. */
export function ByHand({ view: { job, state, machine }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [words, setWords] = useState('');
  const kept = state.remarks.filter(({ gear }) => gear === card.id);
  const keep = async () => {
    if (words.trim() && (await write({ kind: 'remark', text: words.trim(), gear: card.id }))) setWords('');
  };
  return (
    <>
      {kept.map(({ text }) => (
        <Text key={text} variant="strong">
          {card.name}: {text}
        </Text>
      ))}
      <Field label={t.whatYouMeasuredOrThe} value={words} onChangeText={setWords} multiline />
      <Button label={shared.writeItDown} disabled={words.trim() === ''} onPress={() => void keep()} />
      <Problem text={problem} />
      <PhotoButton jobId={job.id} about={card.id} state={state} camera={machine?.instruments ?? false} />
      <Button variant="primary" big label={shared.setItRightAndProve} onPress={() => router.navigate(`/jobs/${job.id}/close`)} />
    </>
  );
}
