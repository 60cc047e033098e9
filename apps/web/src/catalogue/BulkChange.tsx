import { t } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import { partChanged, type PartChange } from '@patient-badger/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { messageOf } from '../wording/messageOf.ts';

const FIELDS = [
  ['stock', t.inStock],
  ['leadDays', t.daysToCome],
  ['pricePercent', t.price],
  ['supplier', t.supplier],
] as const;
type Name = (typeof FIELDS)[number][0];

/** Several parts changed alike; what is left empty stays as it is. */
export function BulkChange({ ids, onDone }: { ids: readonly string[]; onDone: () => void }) {
  const client = useQueryClient();
  const [typed, setTyped] = useState<Partial<Record<Name, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const apply = async () => {
    const filled = FIELDS.filter(([name]) => typed[name]?.trim());
    const change = Object.fromEntries(
      filled.map(([name]) => [name, name === 'supplier' ? typed[name]?.trim() : typedNumber(typed[name] ?? '')]),
    );
    const wrong = filled.find(([name]) => name !== 'supplier' && !Number.isFinite(change[name]));
    if (wrong || filled.length === 0) return setProblem(wrong ? t.thatIsNotOneNumber(wrong[1]) : t.fillInWhatIsTo);
    try {
      await call('/api/parts/change', partChanged, { json: { ids: [...ids], change } satisfies PartChange });
      await client.invalidateQueries({ queryKey: ['catalogue'] });
      onDone();
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.chosen(ids.length, ids.length === 1 ? t.part : t.parts)}</Text>
      <View className="flex-row flex-wrap gap-2">
        {FIELDS.map(([name, label]) => (
          <View key={name} className="min-w-[130px] flex-1">
            <Field
              label={label}
              value={typed[name] ?? ''}
              onChangeText={(text) => setTyped({ ...typed, [name]: text })}
              testID={`change-${name}`}
            />
          </View>
        ))}
      </View>
      <Problem text={problem} />
      <View className="flex-row gap-2">
        <Button className="flex-1" label={t.noneOfThem} onPress={onDone} />
        <Button className="flex-1" variant="primary" label={shared.changeThem} testID="change-parts" onPress={() => void apply()} />
      </View>
    </Card>
  );
}
