import { t } from '@patient-badger/wording/ratio';
import type { Tyre } from '@patient-badger/core';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';

const NAMES: Readonly<Record<Tyre['source'], string>> = {
  rolled: t.rolledOnTheFloor,
  published: t.makersFigure,
  size: t.printedSize,
};

/** What a diameter stands on that does not follow from the figures on the tyre. */
const BASES = { table: t.byTheTradesTable, nominal: t.onlyANameForASize } as const;

/** What each source says of a tyre, side by side, and which of them counts. */
export function TyreSources({ tyre }: { tyre: Tyre }) {
  return (
    <View className="gap-1" testID="tyre-sources">
      {tyre.sources.map(({ source, turnsPerKm, againstSizePercent }, i) => (
        <View key={source} className="flex-row items-baseline justify-between gap-2">
          <Text variant={i === 0 ? 'strong' : 'soft'} className="flex-1">
            {NAMES[source]}
            {i === 0 ? t.counts : ''}
          </Text>
          <Text variant={i === 0 ? 'strong' : 'soft'} numberOfLines={1} className="shrink-0">
            {t.km(
              turnsPerKm.toFixed(0),
              source === 'size' || againstSizePercent === null
                ? ''
                : `, ${againstSizePercent >= 0 ? '+' : '−'}${Math.abs(againstSizePercent).toFixed(1)} %`,
            )}
          </Text>
        </View>
      ))}
      <Text variant="soft">
        {t.cmAcross(
          tyre.sources[0]?.plusMinusPercent.toFixed(1) ?? '',
          (tyre.diameterMm / 10).toFixed(1),
          tyre.source === 'size' && tyre.loadedTurnsPerKm !== null ? t.underLoadATyreTurns(tyre.loadedTurnsPerKm.toFixed(0)) : '',
        )}
      </Text>
      {tyre.source === 'size' && tyre.basis !== null && tyre.basis !== 'sum' ? (
        <Text variant="soft" testID="tyre-basis">
          {BASES[tyre.basis]}
        </Text>
      ) : null}
    </View>
  );
}
