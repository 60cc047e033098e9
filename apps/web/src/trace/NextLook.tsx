import type { LookAdvice, TraceOutput } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../wording/words.ts';
import type { JobView } from '../job/JobView.ts';
import { worthText } from '../wording/lookWords.ts';
import { closedMinutes } from '../job/closedMinutes.ts';

/** The one thing to do next, why it and not another, and the sums for who asks. */
export function NextLook({ view: { job, pack, trace } }: { view: JobView }) {
  const router = useRouter();
  const [why, setWhy] = useState(false);
  const next = trace.next;
  if (!next) {
    return (
      <Card tone="next">
        <Text variant="head">No look left that is worth its minutes</Text>
        <Text>Decide on what is known, or add below what you saw besides.</Text>
        <Button variant="primary" big label="Decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
      </Card>
    );
  }
  const [first, second] = next.moves.map((id) => pack.faults.find((each) => each.id === id)?.name);
  const aimed = pack.faults.find(({ id }) => id === trace.toLookAt?.fault)?.name;
  const runnerUp = trace.alternatives[0];
  return (
    <Card tone="next">
      <View className="flex-row items-baseline justify-between gap-3">
        <Text variant="label">{labelOf(trace)}</Text>
        <Text variant="figure">{minutesText(next.minutes)}</Text>
      </View>
      <Text variant="head">{next.name}</Text>
      <Text>
        {next.tries && next.tries.uses.length > 0 ? `It uses ${next.tries.uses.join(', ')}. ` : ''}
        {next.undo.length > 0 ? `${next.undo.map(({ name }) => name).join(', ')}: to be put back first. ` : ''}
        {openText(next)}
        {closedMinutes(pack, next.look) - next.minutes > 0.05
          ? `It was ${minutesText(closedMinutes(pack, next.look))} with everything closed. `
          : ''}
        {aimed ? `${aimed} stands first, and nothing that was seen settles it yet: this look would. ` : ''}
        {!aimed && first && second ? `It leads to the verdict soonest, and says the most about: ${first}; ${second}.` : ''}
      </Text>
      <Button
        variant="primary"
        big
        label="Do this look"
        testID="do-look"
        onPress={() => router.navigate(`/jobs/${job.id}/look/${next.look}`)}
      />
      <Button variant="quiet" label={why ? 'Hide the sums' : 'Why this one?'} onPress={() => setWhy(!why)} />
      {why ? (
        <View className="gap-1">
          <Text variant="soft">
            With this look first, about {minutesText(trace.remainingMinutesEstimate)} to a verdict
            {runnerUp?.minutesToVerdict === undefined ? '.' : `; with “${runnerUp.name}” first, ${minutesText(runnerUp.minutesToVerdict)}.`}
          </Text>
          <Text variant="soft">
            It {worthText(next.expectedBits)}: {next.expectedBits.toFixed(2)} bits in {minutesText(next.minutes)}. A bit halves what is left
            to doubt.
          </Text>
          {next.results
            .filter(({ probability }) => probability >= 0.005)
            .map(({ result, name, probability }) => (
              <Text key={result} variant="soft">
                {percent(probability)}: {name}
              </Text>
            ))}
        </View>
      ) : null}
    </Card>
  );
}

function labelOf({ next, toLookAt }: TraceOutput): string {
  if (toLookAt) return 'Next to be looked at';
  return next?.tries ? 'Try this' : 'The next useful look';
}

/** What has to be opened before, in a sentence. */
function openText({ steps, undo }: LookAdvice): string {
  if (steps.length > 0) return `${steps.length} ${steps.length === 1 ? 'step' : 'steps'} to open first. `;
  return undo.length > 0 ? '' : 'Nothing to open. ';
}
