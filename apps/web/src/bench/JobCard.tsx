import type { JobRow } from '@patient-badger/contract';
import { lightFormat } from 'date-fns/lightFormat';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { FOLLOW_UP_WORDS } from '../wording/followUpWords.ts';
import { promiseText } from './inTurn.ts';
import { moveWords } from './moveWords.ts';

/** One job on the bench: whose machine, what it does not do, and the next move with its minutes. */
export function JobCard({ row: { id, label, owner, complaint, found, move, promisedOn, closedAt, followUp } }: { row: JobRow }) {
  const router = useRouter();
  const next = moveWords(move, found);
  const today = lightFormat(new Date(), 'yyyy-MM-dd');
  return (
    <LinkArea
      onPress={() => router.navigate(`/jobs/${id}${next.to}`)}
      className="gap-1 rounded-lg border-2 border-line bg-surface p-4 active:opacity-70"
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
      {promisedOn && !closedAt ? (
        <Text variant={promisedOn <= today ? 'danger' : 'soft'}>{upper(promiseText(promisedOn, today))}</Text>
      ) : null}
      {followUp && (closedAt || followUp.due <= today) ? (
        <Text variant={followUp.due <= today ? 'danger' : 'soft'}>
          {FOLLOW_UP_WORDS[followUp.action]} {followUp.due}: {followUp.what}
        </Text>
      ) : null}
      <View className="mt-1 flex-row items-center gap-3 border-t-2 border-line pt-2">
        <Text className="flex-1">{next.text}</Text>
        {next.minutes ? <Text variant="figure">{next.minutes}</Text> : null}
      </View>
    </LinkArea>
  );
}

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
