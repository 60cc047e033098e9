import { advisedLooks, stepsToReach, type LookAdvice, type Pack } from '@patient-badger/core';
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
  const advised = advisedLooks(trace);
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
              detail={seen ? `Seen: ${resultName(pack, id, seen.result)}` : priceText(advice, minutes, closedMinutes(pack, id))}
              onPress={() => router.navigate(`/jobs/${job.id}/look/${id}`)}
            />
          );
        })}
      </View>
      {looks.length === 0 ? <Text look="soft">No look is taken right here; its neighbours tell.</Text> : null}
    </Card>
  );
}

/** What a look would cost with everything still closed. */
export function closedMinutes(pack: Pack, lookId: string): number {
  const look = pack.looks.find(({ id }) => id === lookId);
  return stepsToReach(pack, look?.needs ?? [], new Set()).reduce((sum, step) => sum + step.minutes, look?.minutes ?? 0);
}

/** What a look costs, what it did before something was opened, and what it would tell as things stand. */
export function priceText(advice: LookAdvice | undefined, minutes: number, closed: number): string {
  if (!advice) return `${minutesText(minutes)}, tells next to nothing as things stand`;
  const { steps } = advice;
  const open = steps.length > 0 ? `, ${steps.length} ${steps.length === 1 ? 'step' : 'steps'} to open first` : '';
  const before = closed - advice.minutes > 0.05 ? ` (${minutesText(closed)} when it was closed)` : '';
  return `${minutesText(advice.minutes)}${before}${open}; ${worthText(advice.expectedBits)}`;
}

/** Expected information in words; a whole bit halves the list. */
export function worthText(bits: number): string {
  if (bits >= 1) return 'tells a great deal';
  if (bits >= 0.5) return 'tells much';
  if (bits >= 0.2) return 'tells something';
  return 'tells little';
}
