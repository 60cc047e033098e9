import { t } from '@patient-badger/wording/shared';
import { advisedLooks, touches } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { percent } from '../wording/words.ts';
import type { JobView } from './JobView.ts';
import { resultName } from '@patient-badger/wording/results';
import { priceText } from '../wording/lookWords.ts';
import { closedMinutes } from './closedMinutes.ts';

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
      {suspects.length === 0 ? <Text variant="soft">{t.noFaultOfTheList}</Text> : null}
      <View className="gap-2">
        {pack.gears
          .filter(({ body }) => body === place || touches(pack, place, body))
          .map(({ id, name }) => (
            <Button key={id} label={t.cardOf(name)} testID={`card-${id}`} onPress={() => router.navigate(`/jobs/${job.id}/gear/${id}`)} />
          ))}
        {looks.map(({ id, name, minutes }) => {
          const seen = state.observations.findLast(({ look }) => look === id);
          const advice = advised.find(({ look }) => look === id);
          return (
            <Button
              key={id}
              label={name}
              detail={seen ? t.seen(resultName(pack, id, seen.result)) : priceText(advice, minutes, closedMinutes(pack, id))}
              onPress={() => router.navigate(`/jobs/${job.id}/look/${id}`)}
            />
          );
        })}
      </View>
      {looks.length === 0 ? <Text variant="soft">{t.noLookIsTakenRight}</Text> : null}
    </Card>
  );
}
