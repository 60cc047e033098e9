import { View } from 'react-native';
import { likelihoodWord, percent } from '../wording/words.ts';
import { Text } from './Text.tsx';

/** A chance as a word, a figure and a bar: never by colour alone. */
export function Meter({
  chance,
  narrow = false,
  className = '',
}: {
  chance: number;
  narrow?: boolean | undefined;
  className?: string | undefined;
}) {
  if (narrow) {
    return (
      <View className={className}>
        <Bar share={chance} />
        <Text variant="label" className="text-ink">
          {percent(chance)} {likelihoodWord(chance)}
        </Text>
      </View>
    );
  }
  return (
    <View className={`flex-row items-center gap-2 ${className}`}>
      <View className="min-w-[60px] flex-1">
        <Bar share={chance} />
      </View>
      <Text variant="label" className="min-w-[42px] text-right text-ink">
        {percent(chance)}
      </Text>
      <Text variant="label" className="min-w-[92px]">
        {likelihoodWord(chance)}
      </Text>
    </View>
  );
}

/** A bar that is full to a share of its width, 0 to 1. */
export const Bar = ({ share }: { share: number }) => (
  <View className="h-3 overflow-hidden rounded-sm bg-sunken" aria-hidden>
    <View className="h-3 bg-heat" style={{ width: `${Math.max(share > 0.002 ? 2 : 0, share * 100)}%` }} />
  </View>
);
