import { partPage, type Part } from '@patient-badger/contract';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { call } from '../data/api.ts';
import { useShop } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../design/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useWide } from '../design/useScheme.ts';
import { money } from '../design/words.ts';
import { attributeValue } from '../match/attributeWords.ts';
import { BulkChange } from './BulkChange.tsx';

const PAGE = 60;
type Order = 'partNumber' | 'price' | 'size';

/** The catalogue as a table, page by page: by words, number and teeth; several parts changed alike. */
export function CatalogueScreen() {
  const router = useRouter();
  const wide = useWide();
  const [text, setText] = useState('');
  const [teeth, setTeeth] = useState('');
  const [order, setOrder] = useState<Order>('partNumber');
  const [from, setFrom] = useState(0);
  const anew =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setFrom(0);
    };
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const query = new URLSearchParams({
    ...(text.trim() && { text: text.trim() }),
    ...(/^\d{1,4}$/.test(teeth.trim()) && { teeth: teeth.trim() }),
    order,
    most: String(PAGE + 1),
  }).toString();
  const list = useQuery({
    queryKey: ['catalogue', query, from],
    queryFn: () => call(`/api/parts?${query}&from=${from}`, partPage),
    placeholderData: keepPreviousData,
  });
  // One more than a page is asked for: whether there is another.
  const rows = (list.data ?? []).slice(0, PAGE);
  const more = (list.data?.length ?? 0) > PAGE;
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <Screen title="Catalogue" back="/" wide={wide}>
      <View className={wide ? 'flex-row items-end gap-4' : 'gap-2'}>
        <View className="flex-1">
          <Field label="Words, or the beginning of a part number" value={text} onChangeText={anew(setText)} testID="catalogue-text" />
        </View>
        <View className={wide ? 'w-[120px]' : ''}>
          <Field label="Teeth" value={teeth} onChangeText={anew(setTeeth)} inputMode="numeric" testID="catalogue-teeth" />
        </View>
        <View className={wide ? 'w-[400px]' : ''}>
          <Segments
            label="Order"
            options={[
              ['partNumber', 'No.'],
              ['price', 'Price'],
              ['size', 'Size'],
            ]}
            value={order}
            onChange={anew(setOrder)}
          />
        </View>
      </View>
      {list.error && rows.length === 0 ? <Text look="danger">{list.error.message}</Text> : null}
      {!list.isLoading && rows.length === 0 && !list.error ? <Text>No part like that. Fewer words find more.</Text> : null}
      {chosen.size > 0 ? <BulkChange ids={[...chosen]} onDone={() => setChosen(new Set())} /> : null}
      <View role="table" aria-label="Parts" testID="catalogue">
        {wide ? <Headings /> : null}
        {rows.map((part) => (
          <Row key={part.id} part={part} wide={wide} chosen={chosen.has(part.id)} onToggle={() => toggle(part.id)} />
        ))}
      </View>
      {from > 0 || more ? (
        <View className="flex-row gap-2">
          <Button className="flex-1" label="Before" disabled={from === 0} onPress={() => setFrom(Math.max(0, from - PAGE))} />
          <Button className="flex-1" label="Next" testID="next-page" disabled={!more} onPress={() => setFrom(from + PAGE)} />
        </View>
      ) : null}
      <Button look="quiet" label="Bring in a parts list" onPress={() => router.navigate('/parts/import' as never)} />
    </Screen>
  );
}

const Headings = () => (
  <View className="flex-row items-center gap-3 border-b-2 border-line px-2 py-1">
    <Text look="label" className="min-w-0 flex-1 pl-9">
      Part
    </Text>
    {['Teeth', 'Module', 'Bore', 'Width'].map((name) => (
      <Text key={name} look="label" className="w-[96px] text-right">
        {name}
      </Text>
    ))}
    <Text look="label" className="w-[170px]">
      Supplier
    </Text>
    <Text look="label" className="w-[60px] text-right">
      Stock
    </Text>
    <Text look="label" className="w-[104px] text-right">
      Price
    </Text>
  </View>
);

function Row({ part, wide, chosen, onToggle }: { part: Part; wide: boolean; chosen: boolean; onToggle: () => void }) {
  const currency = useShop().data?.currency ?? 'EUR';
  const { attributes } = part;
  const plain = (name: 'normalModuleMm' | 'axialModuleMm' | 'boreDiameterMm' | 'faceWidthMm') => {
    const value = attributes[name];
    return value === undefined ? '–' : attributeValue(name, typeof value === 'object' ? value.value : value);
  };
  const size = attributes.axialModuleMm === undefined ? plain('normalModuleMm') : plain('axialModuleMm');
  const figures: readonly (readonly [string, string])[] = [
    ['teeth', String(attributes.teeth ?? attributes.starts ?? '–')],
    ['module', size],
    ['bore', plain('boreDiameterMm')],
    ['width', plain('faceWidthMm')],
  ];
  return (
    <Pressable
      role="checkbox"
      aria-checked={chosen}
      aria-label={`${part.partNumber}, ${part.name}, ${figures.map(([name, value]) => `${name} ${value}`).join(', ')}`}
      onPress={onToggle}
      testID={`row-${part.partNumber}`}
      className={`min-h-[56px] flex-row items-center gap-3 border-b border-line px-2 py-1 ${chosen ? 'bg-sunken' : ''}`}
    >
      <View className={`h-6 w-6 items-center justify-center rounded border-2 ${chosen ? 'border-accent bg-accent' : 'border-soft'}`}>
        {chosen ? <Text className="text-onaccent">✓</Text> : null}
      </View>
      <View className="min-w-0 flex-1">
        <Text look="strong" numberOfLines={1}>
          {part.partNumber} · {part.name}
        </Text>
        {wide ? null : (
          <Text look="soft" numberOfLines={1}>
            {figures.map(([name, value]) => `${name} ${value}`).join(', ')}
          </Text>
        )}
      </View>
      {wide
        ? figures.map(([name, value]) => (
            <Text key={name} className="w-[96px] text-right" numberOfLines={1}>
              {value}
            </Text>
          ))
        : null}
      {wide ? (
        <Text className="w-[170px]" numberOfLines={1}>
          {part.supplier}
        </Text>
      ) : null}
      {wide ? <Text className="w-[60px] text-right">{part.stock}</Text> : null}
      <Text look="strong" numberOfLines={1} className="w-[104px] text-right">
        {money(part.priceMinor, currency)}
      </Text>
    </Pressable>
  );
}
