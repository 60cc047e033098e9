import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
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

/** What was seen and nothing on the list explains. */
export function Unexplained({ view: { pack, trace } }: { view: JobView }) {
  if (trace.unexplained.length === 0) return null;
  return (
    <Card>
      <Text variant="label">Nothing on the list explains</Text>
      {trace.unexplained.map(({ look, result }) => (
        <Text key={look}>{`${pack.looks.find(({ id }) => id === look)?.name}: ${resultName(pack, look, result)}`}</Text>
      ))}
      <Text variant="soft">Look at it once more: what was seen wrongly leads astray.</Text>
    </Card>
  );
}
