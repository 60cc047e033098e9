import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import type { BenchJob } from './nextMove.ts';
import { useNextMove } from './useNextMove.ts';

/** One job on the bench: whose machine, what it does not do, and the next move with its minutes. */
export function JobCard({ job, label, owner }: { job: BenchJob; label: string; owner: string }) {
  const router = useRouter();
  const move = useNextMove(job);
  return (
    <LinkArea
      aria-label={`${label}. ${move.text}`}
      onPress={() => router.navigate(`/jobs/${job.id}${move.to}`)}
      className="gap-1 rounded-lg border-2 border-line bg-surface p-4 active:opacity-70"
    >
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="strong" className="flex-1">
          {label}
        </Text>
        <Text variant="soft">{owner}</Text>
      </View>
      <Text variant="soft" numberOfLines={2}>
        {job.state.takenIn?.complaint}
      </Text>
      <View className="mt-1 flex-row items-center gap-3 border-t-2 border-line pt-2">
        <Text className="flex-1">{move.text}</Text>
        {move.minutes ? <Text variant="figure">{move.minutes}</Text> : null}
      </View>
    </LinkArea>
  );
}
