import { t } from '@patient-badger/wording/intake';
import { t as shared } from '@patient-badger/wording/shared';
import { machineDraft, type MachineDraft } from '@patient-badger/contract';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { recordMachine } from '../data/record.ts';
import { useFamilies, useModels } from '../data/families.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { ModelChoice } from '../families/ModelChoice.tsx';
import { FamilyChoice } from '../families/FamilyChoice.tsx';
import { messageOf } from '../wording/messageOf.ts';
import { schemaResolver } from '../wording/schemaProblems.ts';

const form = machineDraft.omit({ id: true });
type Form = z.input<typeof form>;

const FIELDS = [
  ['label', shared.whatYouCallIt],
  ['owner', shared.owner],
  ['contact', shared.howToReachThem],
  ['serial', shared.serialPlate],
] as const;

interface Props {
  /** The family it was looked up under, where it was. */
  readonly family?: string | undefined;
  readonly onAdded: (machine: MachineDraft) => void;
  readonly onCancel: () => void;
}

/** Writes down a machine that is not on record. */
export function NewMachine({ family: asked, onAdded, onCancel }: Props) {
  const models = useModels().data ?? [];
  const families = useFamilies();
  const [problem, setProblem] = useState<string | null>(null);
  const {
    control,
    handleSubmit,
    setValue,
    formState: { errors },
  } = useForm<Form, unknown, z.output<typeof form>>({
    resolver: schemaResolver(form),
    defaultValues: { label: '', owner: '', contact: '', serial: '', modelId: null, family: asked ?? '', facts: {} },
  });
  const [family, modelId] = useWatch({ control, name: ['family', 'modelId'] });
  const ofFamily = models.filter((each) => each.family === family && !each.retired);
  const add = handleSubmit(async (draft) => {
    try {
      onAdded(await recordMachine(draft));
    } catch (error) {
      setProblem(messageOf(error));
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
        <Text variant="head">{shared.kindOfChain}</Text>
        <FamilyChoice
          families={families}
          chosen={family}
          onChoose={(id) => {
            setValue('family', id, { shouldValidate: true });
            setValue('modelId', null);
          }}
        />
        {errors.family ? <Text variant="danger">{t.chooseWhatKindOfChain}</Text> : null}
      </Card>
      {ofFamily.length === 0 ? null : (
        <Card>
          <Text variant="head">{t.modelIfItIsOne}</Text>
          <ModelChoice
            models={ofFamily}
            chosen={modelId}
            detailOf={({ note }) => note ?? undefined}
            onChoose={(id) => setValue('modelId', id)}
          />
        </Card>
      )}
      <Problem text={problem} />
      <Button variant="primary" big label={shared.writeItDown} onPress={() => void add()} />
      <Button variant="quiet" label={t.backToTheList} onPress={onCancel} />
    </>
  );
}
