import { t } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { saveAddress } from '../data/saveFile.ts';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { BulkChange } from './BulkChange.tsx';
import { PartTable } from './PartTable.tsx';
import { useCatalogue, type Order } from './useCatalogue.ts';
import { useWide } from '../design/useMedia.ts';

/** The catalogue as one long table: by words, number and teeth; several parts changed alike; written out. */
export function CatalogueScreen() {
  const router = useRouter();
  const wide = useWide();
  const { text: asked = '' } = useLocalSearchParams<{ text?: string }>();
  const [text, setText] = useState(asked);
  const [teeth, setTeeth] = useState('');
  const [{ order, down }, setOrder] = useState<{ order: Order; down: boolean }>({ order: 'partNumber', down: false });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const list = useCatalogue({ text, teeth, order, down });
  const { parts, error, isPending, hasNextPage, isFetchingNextPage, fetchNextPage } = list;
  const toggle = useCallback(
    (id: string) =>
      setChosen((before) => {
        const next = new Set(before);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  const more = useCallback(() => void fetchNextPage(), [fetchNextPage]);
  const by = (next: Order) => setOrder({ order: next, down: next === order && !down });
  return (
    <Screen
      title={t.catalogue}
      back="/"
      wide={wide}
      fill
      foot={
        <View className="flex-row gap-2">
          <Button className="flex-1" label={t.bringIn} testID="to-import" onPress={() => router.navigate('/parts/import')} />
          <Button className="flex-1" label={t.saveCsv} testID="export-csv" onPress={() => saveCatalogue('csv')} />
          <Button className="flex-1" label={t.saveJson} testID="export-json" onPress={() => saveCatalogue('json')} />
        </View>
      }
    >
      <View className={wide ? 'flex-row items-end gap-4' : 'gap-2'}>
        <View className={`flex-row gap-2 ${wide ? 'flex-1' : ''}`}>
          <View className="min-w-0 flex-1">
            <Field label={t.wordsOrHowTheNumber} value={text} onChangeText={setText} testID="catalogue-text" />
          </View>
          <View className="w-[84px]">
            <Field label={shared.teeth} value={teeth} onChangeText={setTeeth} inputMode="numeric" testID="catalogue-teeth" />
          </View>
        </View>
        {wide ? null : (
          <Segments
            label={t.order}
            options={[
              ['partNumber', t.no],
              ['price', t.price2],
              ['size', t.size],
            ]}
            value={order}
            onChange={by}
          />
        )}
      </View>
      {error && parts.length === 0 ? <Text variant="danger">{error.message}</Text> : null}
      {isPending && !error ? <Text variant="soft">{shared.looking}</Text> : null}
      {!isPending && parts.length === 0 && !error ? <Text>{t.noPartLikeThatFewer}</Text> : null}
      {chosen.size > 0 ? <BulkChange ids={[...chosen]} onDone={() => setChosen(new Set())} /> : null}
      <PartTable
        parts={parts}
        wide={wide}
        chosen={chosen}
        onToggle={toggle}
        order={order}
        down={down}
        onOrder={by}
        more={hasNextPage && !isFetchingNextPage}
        onMore={more}
      />
    </Screen>
  );
}

/** The whole catalogue as a file. */
const saveCatalogue = (format: 'csv' | 'json') => saveAddress(`parts.${format}`, `/api/parts/export?format=${format}`);
