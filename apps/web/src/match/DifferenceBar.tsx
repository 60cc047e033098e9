import { t } from '@patient-badger/wording/match';
import type { AttributeFit } from '@patient-badger/core/parts';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { attributeName, fitText } from '../wording/attributeWords.ts';

/** So many times what is allowed lies at either end of the bar; what is further off stands there with an arrow. */
const REACH = 4;

/** How far one dimension is off, on a bar whose middle is what is wanted and whose light part still fits. */
export function DifferenceBar({ fit }: { fit: AttributeFit & { readonly difference: number; readonly allowed: number } }) {
  const { difference, allowed, state } = fit;
  const share = Math.max(-1, Math.min(1, difference / (REACH * allowed)));
  const beyond = Math.abs(difference) > REACH * allowed;
  const tone = { fits: 'bg-good', fitsAfterWork: 'bg-heat', doesNotFit: 'bg-danger', unknown: 'bg-soft' }[state];
  return (
    <View className="gap-1" role="img" aria-label={`${attributeName(fit.name)}: ${fitText(fit)}`}>
      <View className="h-4 justify-center rounded-sm bg-sunken">
        <View
          className="absolute h-4 border-x-2 border-line bg-surface"
          style={{ left: `${50 - 50 / REACH}%`, width: `${100 / REACH}%` }}
        />
        <View className="absolute h-4 w-[2px] bg-soft" style={{ left: '50%' }} />
        <View className={`absolute h-4 w-[10px] rounded-sm ${tone}`} style={{ left: `${50 + 48 * share}%`, marginLeft: -5 }} />
      </View>
      {beyond ? (
        <Text variant="soft" className={difference > 0 ? 'text-right' : ''} aria-hidden>
          {difference > 0 ? t.farTooLarge : t.farTooSmall}
        </Text>
      ) : null}
    </View>
  );
}

/** Whether a bar can be drawn of it. */
export const hasBar = (fit: AttributeFit): fit is AttributeFit & { readonly difference: number; readonly allowed: number } =>
  fit.difference !== undefined && fit.allowed !== undefined && fit.allowed > 0;
