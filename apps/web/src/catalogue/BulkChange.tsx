import { partChanged, type PartChange } from '@patient-badger/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { messageOf } from '../wording/messageOf.ts';

const FIELDS = [
  ['stock', 'In stock'],
  ['leadDays', 'Days to come'],
  ['pricePercent', 'Price, ± %'],
  ['supplier', 'Supplier'],
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
    if (wrong || filled.length === 0) return setProblem(wrong ? `${wrong[1]}: that is not one number.` : 'Fill in what is to change.');
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
      <Text variant="head">
        {ids.length} {ids.length === 1 ? 'part' : 'parts'} chosen
      </Text>
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
      {problem ? <Text variant="danger">{problem}</Text> : null}
      <View className="flex-row gap-2">
        <Button className="flex-1" label="None of them" onPress={onDone} />
        <Button className="flex-1" variant="primary" label="Change them" testID="change-parts" onPress={() => void apply()} />
      </View>
    </Card>
  );
}
