import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { resultName } from '@patient-badger/wording/results';
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
        <Text variant="label">{t.sure(percent(trace.noneOfTheseProbability))}</Text>
        <Text variant="head">{t.probablyNothingOnThisList}</Text>
        <Text>{t.noFaultOfTheList(pack.name, leader ? t.theLikeliestHas(leader.name, percent(leader.probability)) : '')}</Text>
        <Text variant="strong">{t.outsideTheChain(percent(outside))}</Text>
        <Text variant="soft">{t.fuelBatteryWiringTyresA}</Text>
        <Text variant="strong">{t.inTheChainAndNot(percent(unlisted))}</Text>
        <Text variant="soft">{t.oneOfTheLooksBelow}</Text>
        <Text variant="strong">{t.soundAfterAll(percent(sound))}</Text>
        <Text variant="soft">{t.letTheOwnerShowWhen}</Text>
        <Button variant="primary" big label={t.sayWhatItWasOr} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
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
      <Text variant="label">{t.nothingOnTheListExplains}</Text>
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
      {left ? <Text variant="soft">{t.leftAtThat(left.reason)}</Text> : null}
      {left || state.decided ? null : (
        <>
          <Button label={t.lookAtItOnceMore} onPress={() => router.navigate(`/jobs/${job.id}/look/${look}`)} />
          {reason === null ? (
            <Button variant="quiet" label={t.leaveItAtThat} onPress={() => setReason('')} />
          ) : (
            <>
              <Field label={t.whyItIsLeftAt} value={reason} onChangeText={setReason} />
              <Button
                label={shared.writeItDown}
                disabled={reason.trim() === ''}
                onPress={() => void write({ kind: 'findingLeft', look, reason: reason.trim() })}
              />
            </>
          )}
        </>
      )}
      <Problem text={problem} />
    </View>
  );
}
