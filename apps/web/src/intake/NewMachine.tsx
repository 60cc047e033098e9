import { zodResolver } from '@hookform/resolvers/zod';
import { machineDraft, type MachineDraft } from '@patient-badger/contract';
import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import type { z } from 'zod';
import { recordMachine } from '../data/outbox.ts';
import { useModels } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';

const form = machineDraft.omit({ id: true });
type Form = z.input<typeof form>;

const FIELDS = [
  ['label', 'What you call it'],
  ['owner', 'Owner'],
  ['serial', 'Serial plate'],
] as const;

/** Writes down a machine that is not on record. */
export function NewMachine({ onAdded, onCancel }: { onAdded: (machine: MachineDraft) => void; onCancel: () => void }) {
  const models = useModels().data ?? [];
  const [problem, setProblem] = useState<string | null>(null);
  const { control, handleSubmit, setValue } = useForm<Form, unknown, z.output<typeof form>>({
    resolver: zodResolver(form),
    defaultValues: { label: '', owner: '', serial: '', modelId: null, family: FAMILIES[0]?.id ?? '', facts: {} },
  });
  const [family, modelId] = useWatch({ control, name: ['family', 'modelId'] });
  const add = handleSubmit(async (draft) => {
    try {
      onAdded(await recordMachine(draft));
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  });
  return (
    <>
      {FIELDS.map(([name, label]) => (
        <Controller
          key={name}
          control={control}
          name={name}
          render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
            <Field label={label} value={value ?? ''} onChangeText={onChange} onBlur={onBlur} problem={error?.message} />
          )}
        />
      ))}
      <Card>
        <Text look="head">Kind of chain</Text>
        <View role="radiogroup" aria-label="Kind of chain" className="gap-2">
          {FAMILIES.map(({ id, name, summary }) => (
            <Button
              key={id}
              label={name}
              detail={summary}
              look={family === id ? 'chosen' : 'plain'}
              checked={family === id}
              onPress={() => setValue('family', id)}
            />
          ))}
        </View>
      </Card>
      <Card>
        <Text look="head">Model, if it is one of these</Text>
        <View role="radiogroup" aria-label="Model" className="gap-2">
          {models
            .filter((each) => each.family === findFamily(family)?.id)
            .map(({ id, maker, code, note }) => (
              <Button
                key={id}
                label={`${maker} ${code}`}
                detail={note ?? undefined}
                look={modelId === id ? 'chosen' : 'plain'}
                checked={modelId === id}
                onPress={() => setValue('modelId', modelId === id ? null : id)}
              />
            ))}
        </View>
      </Card>
      {problem ? <Text look="danger">{problem}</Text> : null}
      <Button look="primary" big label="Write it down" onPress={() => void add()} />
      <Button look="quiet" label="Back to the list" onPress={onCancel} />
    </>
  );
}
