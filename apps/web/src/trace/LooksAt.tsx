import type { LookAdvice } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../design/words.ts';
import type { JobView } from '../job/JobView.ts';
import { resultName } from './Trail.tsx';

/** Everything about one place of the chain: who is suspected there, and every look that can be taken there, whatever the advice. */
export function LooksAt({ view: { job, pack, state, trace }, place }: { view: JobView; place: string }) {
  const router = useRouter();
  const suspects = trace.suspects.filter(({ at }) => at === place);
  const looks = pack.looks.filter(({ at }) => at === place);
  const advised = [...(trace.next ? [trace.next] : []), ...trace.alternatives];
  return (
    <Card tone="sunken" className="mb-2">
      {suspects.map(({ fault, name, probability }) => (
        <Text key={fault}>
          {name}: {percent(probability)}
        </Text>
      ))}
      {suspects.length === 0 ? <Text look="soft">No fault of the list sits here.</Text> : null}
      <View className="gap-2">
        {looks.map(({ id, name, minutes }) => {
          const seen = state.observations.findLast(({ look }) => look === id);
          const advice = advised.find(({ look }) => look === id);
          return (
            <Button
              key={id}
              label={name}
              detail={seen ? `Seen: ${resultName(pack, id, seen.result)}` : priceText(advice, minutes)}
              onPress={() => router.navigate(`/jobs/${job.id}/look/${id}`)}
            />
          );
        })}
      </View>
      {looks.length === 0 ? <Text look="soft">No look is taken right here; its neighbours tell.</Text> : null}
    </Card>
  );
}

/** What a look costs, and what it would tell as things stand. */
export function priceText(advice: LookAdvice | undefined, minutes: number): string {
  if (!advice) return `${minutesText(minutes)}, tells next to nothing as things stand`;
  const { steps } = advice;
  const open = steps.length > 0 ? `, ${steps.length} ${steps.length === 1 ? 'step' : 'steps'} to open first` : '';
  return `${minutesText(advice.minutes)}${open}; ${worthText(advice.expectedBits)}`;
}

/** Expected information in words; a whole bit halves the list. */
export function worthText(bits: number): string {
  if (bits >= 1) return 'tells a great deal';
  if (bits >= 0.5) return 'tells much';
  if (bits >= 0.2) return 'tells something';
  return 'tells little';
}
