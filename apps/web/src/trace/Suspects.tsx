import { NONE_OF_THESE, NOTHING_ELSE } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { percent } from '../wording/words.ts';
import { type JobView } from '../job/JobView.ts';
import { NextLook } from './NextLook.tsx';

/** What stands at the top: the decision, the verdict, or the next look. */
export function Suspects({ view }: { view: JobView }) {
  const { job, pack, state, trace } = view;
  const router = useRouter();
  const toVerdict = (
    <Button variant="primary" big label="See the reasons and decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
  );
  if (state.decided) {
    const decided = pack.faults.find(({ id }) => id === state.decided?.fault);
    const part = decided?.remedy.part;
    return (
      <Card tone="next">
        <Text variant="label">Decided</Text>
        <Text variant="head">
          {decided?.name ?? (state.decided.fault === NONE_OF_THESE ? state.decided.note : 'Set right what was found')}
        </Text>
        {decided ? <Text>{decided.remedy.text}</Text> : null}
        <Button
          variant="primary"
          big
          label={part ? 'Measure the gear' : 'Set it right and prove it'}
          onPress={() => router.navigate(`/jobs/${job.id}${part ? `/gear/${part}` : '/close'}`)}
        />
      </Card>
    );
  }
  if (trace.verdict?.fault === NOTHING_ELSE) {
    return (
      <Card tone="next">
        <Text variant="label">{percent(trace.verdict.probability)} sure</Text>
        <Text variant="head">Nothing else is wrong</Text>
        {toVerdict}
      </Card>
    );
  }
  const verdict = pack.faults.find(({ id }) => id === trace.verdict?.fault);
  if (!verdict || !trace.verdict) return <NextLook view={view} />;
  return (
    <Card tone="next">
      <Text variant="label">Verdict, {percent(trace.verdict.probability)} sure</Text>
      <Text variant="head">{verdict.name}</Text>
      <Text>{verdict.remedy.text}</Text>
      {toVerdict}
    </Card>
  );
}
