import { CANNOT_TELL, cautionsOn, packModel, stepsToReach, type Look } from '@patient-badger/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { isTyping } from '../design/isTyping.ts';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../design/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { Cautions, useUnacknowledged } from './Cautions.tsx';
import { OpeningSteps } from './OpeningSteps.tsx';

/** One look: what to do, how long, what can hurt, and what came of it. */
export function LookScreen() {
  const { look } = useLocalSearchParams<{ look: string }>();
  return (
    <JobFrame stage="trace" back={(id) => `/jobs/${id}`}>
      {(view) => {
        const found = view.pack.looks.find(({ id }) => id === look);
        return found ? <Looking view={view} look={found} /> : <Text>This family has no such look.</Text>;
      }}
    </JobFrame>
  );
}

function Looking({ view, look }: { view: JobView; look: Look }) {
  const { job, pack, state } = view;
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const steps = stepsToReach(pack, look.needs, new Set(state.reached));
  const cautions = cautionsOn(pack, look.cautions, []);
  const blocked = useUnacknowledged(state, cautions).length > 0;
  const results = packModel(pack).outcomes.get(look.id) ?? [];
  const seen = state.observations.filter((each) => each.look === look.id).at(-1);

  const say = async (result: string) => {
    if (await write({ kind: 'lookRecorded', look: look.id, result })) router.navigate(`/jobs/${job.id}`);
  };
  useResultKeys(blocked || steps.length > 0 ? [] : results.map(({ result }) => result), say);

  return (
    <>
      <Text look="title">{look.name}</Text>
      <View className="flex-row flex-wrap gap-x-4 gap-y-1">
        <Text look="label">{minutesText(look.minutes)} for the look</Text>
        {look.helper ? <Text look="label">A helper is needed</Text> : null}
        {look.tools.length > 0 ? <Text look="label">Lay out: {look.tools.join(', ')}</Text> : null}
        {look.kind === 'kinematic' ? <Text look="label">About {percent(look.misread)} are misread</Text> : null}
      </View>
      <OpeningSteps view={view} steps={steps} />
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      <Card>
        <Text look="head">What to do</Text>
        <Text>{look.how}</Text>
      </Card>
      <Text look="head">What do you see?</Text>
      {steps.length > 0 ? <Text look="soft">Open it as far as above first, or answer if you see it all the same.</Text> : null}
      {blocked ? <Text look="danger">Confirm the caution first: somebody can be hurt here.</Text> : null}
      <View className="gap-3">
        {results.map(({ result, name }, i) => (
          <Button
            key={result}
            big
            disabled={blocked}
            label={name}
            detail={seen?.result === result ? 'Seen before' : undefined}
            testID={`result-${result}`}
            onPress={() => void say(result)}
            icon={<KeyHint number={i + 1} />}
          />
        ))}
        <Button look="quiet" disabled={blocked} label="I cannot tell" onPress={() => void say(CANNOT_TELL)} />
      </View>
      {problem ? <Text look="danger">{problem}</Text> : null}
      <PhotoButton jobId={job.id} about={look.id} state={state} />
    </>
  );
}

const KeyHint = ({ number }: { number: number }) => (
  <View aria-hidden className="h-8 w-8 items-center justify-center rounded-full bg-sunken">
    <Text look="label" className="text-ink">
      {number}
    </Text>
  </View>
);

function useResultKeys(results: readonly string[], say: (result: string) => Promise<void>) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const result = results[Number(event.key) - 1];
      if (result && !isTyping(event)) void say(result);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
