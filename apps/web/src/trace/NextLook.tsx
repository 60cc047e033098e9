import { resultName } from '@patient-badger/wording/results';
import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { cautionsOn, type Look, type LookAdvice, type TraceOutput } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../wording/words.ts';
import { Cautions } from '../job/Cautions.tsx';
import type { JobView } from '../job/JobView.ts';
import { worthText } from '../wording/lookWords.ts';
import { LookAnswers } from './LookAnswers.tsx';
import { closedMinutes } from '../job/closedMinutes.ts';

/** The one thing to do next, why it and not another, and the sums for who asks. */
export function NextLook({ view }: { view: JobView }) {
  const { job, pack, trace } = view;
  const router = useRouter();
  const [why, setWhy] = useState(false);
  const next = trace.next;
  if (!next) {
    return (
      <Card tone="next">
        <Text variant="head">{t.noLookLeftThatIs}</Text>
        <Text>{t.decideOnWhatIsKnown}</Text>
        <Button variant="primary" big label={shared.decide} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
      </Card>
    );
  }
  const [first, second] = next.tellsApart.map((id) => pack.faults.find((each) => each.id === id)?.name);
  const aimed = pack.faults.find(({ id }) => id === trace.toLookAt?.fault)?.name;
  const runnerUp = trace.alternatives[0];
  // Nothing to open and nothing to undo: it is said here.
  const ready = next.steps.length === 0 && next.undo.length === 0;
  const here = ready ? pack.looks.find(({ id }) => id === next.look) : undefined;
  return (
    <Card tone="next">
      <View className="flex-row items-baseline justify-between gap-3">
        <Text variant="label">{labelOf(trace)}</Text>
        <Text variant="figure">{minutesText(next.minutes)}</Text>
      </View>
      <Text variant="head">{next.name}</Text>
      <Text>
        {next.tries && next.tries.uses.length > 0 ? t.itUses(next.tries.uses.join(', ')) : ''}
        {next.undo.length > 0 ? t.toBePutBackFirst(next.undo.map(({ name }) => name).join(', ')) : ''}
        {openText(next)}
        {closedMinutes(pack, next.look) - next.minutes > 0.05
          ? t.itWasWithEverythingClosed(minutesText(closedMinutes(pack, next.look)))
          : ''}
        {aimed ? t.standsFirstAndNothingThat(aimed) : ''}
        {!aimed && first && second ? t.itLeadsToTheVerdict(first, second) : ''}
      </Text>
      {here ? <Here view={view} look={here} /> : null}
      <Button
        variant={here ? 'quiet' : 'primary'}
        big={!here}
        label={here ? t.moreOfThisLook : t.doThisLook}
        testID="do-look"
        onPress={() => router.navigate(`/jobs/${job.id}/look/${next.look}`)}
      />
      <Button variant="quiet" label={why ? t.hideTheSums : t.whyThisOne} onPress={() => setWhy(!why)} />
      {why ? (
        <View className="gap-1">
          <Text variant="soft">
            {t.withThisLookFirstAbout(
              minutesText(trace.remainingMinutesEstimate),
              runnerUp?.minutesToVerdict === undefined ? '.' : t.withFirst(runnerUp.name, minutesText(runnerUp.minutesToVerdict)),
            )}
          </Text>
          <Text variant="soft">
            {t.itBitsInABit(worthText(next.expectedBits), next.expectedBits.toFixed(2), minutesText(next.minutes))}
          </Text>
          {next.results
            .filter(({ probability }) => probability >= 0.005)
            .map(({ result, probability }) => (
              <Text key={result} variant="soft">
                {percent(probability)}: {resultName(pack, next.look, result)}
              </Text>
            ))}
        </View>
      ) : null}
    </Card>
  );
}

/** A look that can be taken as things stand: what can hurt, what to do, and what came of it, without a screen of its own. */
const Here = ({ view, look }: { view: JobView; look: Look }) => (
  <View key={look.id} className="gap-3" testID={`here-${look.id}`}>
    <Cautions jobId={view.job.id} state={view.state} cautions={cautionsOn(view.pack, look.cautions, [])} />
    {look.tools.length > 0 ? <Text variant="label">{shared.layOut(look.tools.join(', '))}</Text> : null}
    <Text>{look.how}</Text>
    <LookAnswers key={look.id} view={view} look={look} ready />
  </View>
);

function labelOf({ next, toLookAt }: TraceOutput): string {
  if (toLookAt) return t.nextToBeLookedAt;
  return next?.tries ? t.tryThis : t.theNextUsefulLook;
}

/** What has to be opened before, in a sentence. */
function openText({ steps, undo }: LookAdvice): string {
  if (steps.length > 0) return t.toOpenFirst(steps.length);
  return undo.length > 0 ? '' : t.nothingToOpen;
}
