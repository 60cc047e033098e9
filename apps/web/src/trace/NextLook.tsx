import { resultName } from '@patient-badger/wording/results';
import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { openSteps } from '@patient-badger/core/job';
import { cautionsOn, lookWants, reachOf, type Look, type LookAdvice, type TraceOutput } from '@patient-badger/core/machine';
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
import { OpeningSteps } from './OpeningSteps.tsx';
import { useLookInHand } from './useLookInHand.ts';
import { closedMinutes } from '../job/closedMinutes.ts';

/** The one thing to do next, why it and not another, and the sums for who asks. */
export function NextLook({ view }: { view: JobView }) {
  const { job, pack, trace } = view;
  const router = useRouter();
  const [why, setWhy] = useState(false);
  const next = useLookInHand(view);
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
  // Nothing to undo: what it needs is opened here, and what it shows is said here.
  const here = next.undo.length === 0 ? pack.looks.find(({ id }) => id === next.look) : undefined;
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
          {next === trace.next ? (
            <Text variant="soft">
              {t.withThisLookFirstAbout(
                minutesText(trace.remainingMinutesEstimate),
                runnerUp?.minutesToVerdict === undefined ? '.' : t.withFirst(runnerUp.name, minutesText(runnerUp.minutesToVerdict)),
              )}
            </Text>
          ) : null}
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

/** A look without a screen of its own: what has to come off, what can hurt, what to do, and what came of it. */
function Here({ view, look }: { view: JobView; look: Look }) {
  const { job, pack, state } = view;
  const { steps = [] } = reachOf(pack).approachOf(lookWants(pack, look), openSteps(pack, state)) ?? {};
  return (
    <View key={look.id} className="gap-3" testID={`here-${look.id}`}>
      <OpeningSteps view={view} steps={steps} />
      {steps.length > 0 ? null : (
        <>
          <Cautions jobId={job.id} state={state} cautions={cautionsOn(pack, look.cautions, [])} />
          {look.tools.length > 0 ? <Text variant="label">{shared.layOut(look.tools.join(', '))}</Text> : null}
          <Text>{look.how}</Text>
          <LookAnswers key={look.id} view={view} look={look} ready />
        </>
      )}
    </View>
  );
}

function labelOf({ next, toLookAt }: TraceOutput): string {
  if (toLookAt) return t.nextToBeLookedAt;
  return next?.tries ? t.tryThis : t.theNextUsefulLook;
}

/** What has to be opened before, in a sentence. */
function openText({ steps, undo }: LookAdvice): string {
  if (steps.length > 0) return t.toOpenFirst(steps.length);
  return undo.length > 0 ? '' : t.nothingToOpen;
}
