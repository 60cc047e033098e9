import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { resultName } from '../wording/resultName.ts';
import { percent } from '../wording/words.ts';

/** Nothing of the list leads: what that can mean, how likely each is, and what to do about it. */
export function NoneLeads({ view }: { view: JobView }) {
  const { job, pack, trace } = view;
  const router = useRouter();
  const { outside, unlisted, sound } = trace.noneOfThese;
  const [leader] = trace.suspects;
  return (
    <>
      <Card tone="next" testID="none-leads">
        <Text variant="label">{percent(trace.noneOfTheseProbability)} sure</Text>
        <Text variant="head">Probably nothing on this list</Text>
        <Text>
          {pack.name}: no fault of the list fits what was seen
          {leader ? `; the likeliest, ${leader.name}, has ${percent(leader.probability)}` : ''}. Nothing more is opened for what is left.
        </Text>
        <Text variant="strong">Outside the chain: {percent(outside)}</Text>
        <Text variant="soft">Fuel, battery, wiring, tyres, a frame: see that the complaint is there, and look beside the gears.</Text>
        <Text variant="strong">In the chain, and not on the list: {percent(unlisted)}</Text>
        <Text variant="soft">One of the looks below may show where. Write down what you see in your own words.</Text>
        <Text variant="strong">Sound after all: {percent(sound)}</Text>
        <Text variant="soft">Let the owner show when it happens, under load, hot or cold, before anything is taken apart.</Text>
        <Button variant="primary" big label="Say what it was, or stop here" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
      </Card>
      <Unexplained view={view} />
    </>
  );
}

/** What was seen and nothing on the list explains: looked at once more, or left at that with a reason. */
export function Unexplained({ view }: { view: JobView }) {
  const { trace } = view;
  if (trace.unexplained.length === 0) return null;
  return (
    <Card>
      <Text variant="label">Nothing on the list explains</Text>
      {trace.unexplained.map(({ look, result }) => (
        <OneUnexplained key={look} view={view} look={look} result={result} />
      ))}
    </Card>
  );
}

function OneUnexplained({ view: { job, pack, state }, look, result }: { view: JobView; look: string; result: string }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [reason, setReason] = useState<string | null>(null);
  const left = state.left.find((each) => each.look === look);
  return (
    <View className="gap-2">
      <Text>{`${pack.looks.find(({ id }) => id === look)?.name}: ${resultName(pack, look, result)}`}</Text>
      {left ? <Text variant="soft">Left at that: {left.reason}</Text> : null}
      {left || state.decided ? null : (
        <>
          <Button label="Look at it once more" onPress={() => router.navigate(`/jobs/${job.id}/look/${look}`)} />
          {reason === null ? (
            <Button variant="quiet" label="Leave it at that" onPress={() => setReason('')} />
          ) : (
            <>
              <Field label="Why it is left at that" value={reason} onChangeText={setReason} />
              <Button
                label="Write it down"
                disabled={reason.trim() === ''}
                onPress={() => void write({ kind: 'findingLeft', look, reason: reason.trim() })}
              />
            </>
          )}
        </>
      )}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </View>
  );
}
