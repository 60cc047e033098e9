import type { Part } from '@patient-badger/contract';
import { plain } from '@patient-badger/core';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { money } from '../wording/words.ts';
import { attributeValue } from '../wording/attributeWords.ts';

/** Widths of the figures' columns, the same for the headings above them. */
export const COLUMNS = { figure: 'w-[84px]', supplier: 'w-[190px]', stock: 'w-[64px]', price: 'w-[104px]' } as const;

interface Props {
  readonly part: Part;
  readonly wide: boolean;
  readonly currency: string;
  readonly chosen: boolean;
  readonly onToggle: (id: string) => void;
}

/** One part as a line of the catalogue, pressed to choose it. */
export const PartRow = memo(function PartRow({ part, wide, currency, chosen, onToggle }: Props) {
  const { attributes } = part;
  const shown = (name: 'normalModuleMm' | 'axialModuleMm' | 'boreDiameterMm' | 'faceWidthMm') => {
    const value = attributes[name];
    return value === undefined ? '–' : attributeValue(name, plain(value));
  };
  const size = attributes.axialModuleMm === undefined ? shown('normalModuleMm') : shown('axialModuleMm');
  const figures: readonly (readonly [string, string])[] = [
    ['teeth', String(attributes.teeth ?? attributes.starts ?? '–')],
    ['module', size],
    ['bore', shown('boreDiameterMm')],
    ['width', shown('faceWidthMm')],
  ];
  return (
    <Pressable
      role="checkbox"
      aria-checked={chosen}
      aria-label={`${part.partNumber}, ${part.name}, ${figures.map(([name, value]) => `${name} ${value}`).join(', ')}`}
      onPress={() => onToggle(part.id)}
      testID={`row-${part.partNumber}`}
      className={`min-h-[56px] flex-row items-center gap-3 border-b border-line px-2 py-1 ${chosen ? 'bg-sunken' : ''}`}
    >
      <View className={`h-6 w-6 items-center justify-center rounded border-2 ${chosen ? 'border-accent bg-accent' : 'border-soft'}`}>
        {chosen ? <Text className="text-onaccent">✓</Text> : null}
      </View>
      <View className="min-w-0 flex-1">
        <Text variant="strong" numberOfLines={wide ? 1 : 2}>
          {part.partNumber} · {part.name}
        </Text>
        {wide ? null : (
          <Text variant="soft" numberOfLines={2}>
            {figures.map(([name, value]) => `${name} ${value}`).join(', ')}
          </Text>
        )}
      </View>
      {wide
        ? figures.map(([name, value]) => (
            <Text key={name} className={`${COLUMNS.figure} text-right`} numberOfLines={1}>
              {value}
            </Text>
          ))
        : null}
      {wide ? (
        <Text className={COLUMNS.supplier} numberOfLines={1}>
          {part.supplier}
          {part.listings.length > 0 ? ` + ${part.listings.length}` : ''}
        </Text>
      ) : null}
      {wide ? <Text className={`${COLUMNS.stock} text-right`}>{part.stock}</Text> : null}
      <Text variant="strong" numberOfLines={1} className={`${COLUMNS.price} text-right`}>
        {money(part.priceMinor, currency)}
      </Text>
    </Pressable>
  );
});
