import { t } from '@patient-badger/wording/book';
import { t as shared } from '@patient-badger/wording/shared';
import { machineModel, type MachineModel } from '@patient-badger/contract';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { changedJoints, countsOf, type TypedCounts } from './counts.ts';

/** The chain with its tooth counts, and a form to put this model's own in the place of the family's. */
export function ChainCard({ model, pack }: { model: MachineModel; pack: Pack }) {
  const [open, setOpen] = useState(false);
  const chain = countsOf(pack);
  if (chain.length === 0) return null;
  if (open) return <Form model={model} pack={pack} onDone={() => setOpen(false)} />;
  const own = new Set(Object.keys(model.overrides?.joints ?? {}));
  return (
    <Card>
      <Text variant="head">{shared.theChain}</Text>
      {chain.map(({ joint, name, counts }) => (
        <Text key={joint}>
          {name}: {counts.map(({ label, value }) => `${label} ${value}`).join(', ')}
          {own.has(joint) ? '' : t.asTheFamilyHasIt}
        </Text>
      ))}
      <Button label={t.writeThisModelsOwnCounts} testID="change-counts" onPress={() => setOpen(true)} />
    </Card>
  );
}

function Form({ model, pack, onDone }: { model: MachineModel; pack: Pack; onDone: () => void }) {
  const refresh = useRefresh();
  const { attempt, problem } = useAttempt();
  const [typed, setTyped] = useState<TypedCounts>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const joints = changedJoints(pack, typed);
    if (!joints) return setWrong(t.teethAndStartsAreCounted);
    setWrong(null);
    const overrides = { ...model.overrides, joints: { ...model.overrides?.joints, ...joints } };
    await attempt(async () => {
      await call(`/api/models/${model.id}/change`, machineModel, { json: { overrides } });
      await refresh('models', 'machine', 'machines', 'book');
      onDone();
    });
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.whatThisModelHas}</Text>
      <Text variant="soft">{t.countedOnOneOfThem}</Text>
      {countsOf(pack).map(({ joint, name, counts }) => (
        <View key={joint} className="gap-1">
          <Text variant="strong">{name}</Text>
          <View className="flex-row gap-2">
            {counts.map(({ field, label, value }) => (
              <View key={field} className="min-w-0 flex-1">
                <Field
                  label={label}
                  inputMode="numeric"
                  value={typed[`${joint}/${field}`] ?? String(value)}
                  onChangeText={(text) => setTyped({ ...typed, [`${joint}/${field}`]: text })}
                  problem={isCount(typed[`${joint}/${field}`]) ? undefined : t.aWholeNumber}
                  testID={`count-${joint}-${field}`}
                />
              </View>
            ))}
          </View>
        </View>
      ))}
      <Problem text={wrong ?? problem} />
      <FormFoot label={t.keepTheseCounts} testID="keep-counts" onKeep={() => void keep()} onClose={onDone} />
    </Card>
  );
}

const isCount = (text: string | undefined) => text === undefined || (Number.isInteger(typedNumber(text)) && typedNumber(text) > 0);
