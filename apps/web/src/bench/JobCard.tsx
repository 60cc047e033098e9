import type { JobRow } from '@patient-badger/contract';
import { lightFormat } from 'date-fns/lightFormat';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { FOLLOW_UP_WORDS } from '../wording/followUpWords.ts';
import { promiseText } from './inTurn.ts';
import { moveWords, stageWord } from './moveWords.ts';

/** One job on the bench: whose machine, what it does not do, the next move with its minutes or what it waits for, its stage and its promise. */
export function JobCard({ row: { id, label, owner, complaint, found, move, promisedOn, closedAt, followUp } }: { row: JobRow }) {
  const router = useRouter();
  const next = moveWords(move, found);
  const today = lightFormat(new Date(), 'yyyy-MM-dd');
  return (
    <LinkArea
      onPress={() => router.navigate(`/jobs/${id}${next.to}`)}
      className="rounded-lg border-2 border-line bg-surface px-4 py-3 active:opacity-70"
    >
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="strong" className="flex-1">
          {label}
        </Text>
        <Text variant="soft">{owner}</Text>
      </View>
      <Text variant="soft" numberOfLines={2}>
        {complaint}
      </Text>
      <View className="flex-row items-baseline gap-2">
        <Text className="flex-1">{next.text}</Text>
        {next.minutes ? <Text variant="figure">{next.minutes}</Text> : null}
      </View>
      {closedAt === null || followUp ? (
        <View className="flex-row flex-wrap gap-x-3">
          {closedAt === null ? <Text variant="label">{stageWord(next)}</Text> : null}
          {promisedOn && !closedAt ? (
            <Text variant={promisedOn <= today ? 'danger' : 'label'}>{upper(promiseText(promisedOn, today))}</Text>
          ) : null}
          {followUp && (closedAt || followUp.due <= today) ? (
            <Text variant={followUp.due <= today ? 'danger' : 'soft'}>
              {FOLLOW_UP_WORDS[followUp.action]} {followUp.due}: {followUp.what}
            </Text>
          ) : null}
        </View>
      ) : null}
    </LinkArea>
  );
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
