import { t } from '@patient-badger/wording/ratio';
import type { Takeoff } from '@patient-badger/core';
import { Pressable, View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { offText } from '../wording/ratioWords.ts';

export const keyOf = ({ driveTeeth, drivenTeeth }: { driveTeeth: number; drivenTeeth: number }) => `${driveTeeth}/${drivenTeeth}`;

export const drift = (per1000: number) =>
  Math.abs(per1000) < 0.5
    ? t.theOdometerKeepsTrue
    : t.theOdometerByIn1(per1000 > 0 ? t.runsAhead : t.fallsBehind, Math.abs(per1000).toFixed(0));

export function Pair({ pair, chosen, onPress }: { pair: Takeoff['options'][number]; chosen: boolean; onPress: () => void }) {
  return (
    <Pressable
      role="radio"
      aria-checked={chosen}
      testID={`pair-${pair.driveTeeth}-${pair.drivenTeeth}`}
      onPress={onPress}
      className={`min-h-[56px] flex-row items-center justify-between rounded-md border-2 bg-surface px-3 py-2 ${chosen ? 'border-accent' : 'border-line'}`}
    >
      <View className="min-w-0 flex-1">
        <Text variant="strong">{t.driveDrivenWithDriveTeethAndDrivenTeeth(pair.driveTeeth, pair.drivenTeeth)}</Text>
        <Text variant="soft">{drift(pair.driftPer1000)}</Text>
      </View>
      <Text variant="strong" numberOfLines={1} className="shrink-0">
        {offText(pair.readingErrorPercent)}
      </Text>
    </Pressable>
  );
}
