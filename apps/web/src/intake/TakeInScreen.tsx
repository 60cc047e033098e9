import { t } from '@patient-badger/wording/intake';
import { t as shared } from '@patient-badger/wording/shared';
import type { Machine, MachineDraft } from '@patient-badger/contract';
import { useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { useFamilies, usePackOf } from '../data/families.ts';
import { useMachines } from '../data/jobs.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { Complaint } from './Complaint.tsx';
import { NewMachine } from './NewMachine.tsx';

type MachineChoice = Machine | MachineDraft;

/** A machine comes in: find it or write it down, then what its owner says. */
export function TakeInScreen() {
  const { family } = useLocalSearchParams<{ family?: string }>();
  const [machine, setMachine] = useState<MachineChoice | null>(null);
  const [adding, setAdding] = useState(false);
  const packOf = usePackOf();
  const pack = machine && packOf(machine.family, machine.modelId);
  if (machine && pack) return <Complaint machine={machine} pack={pack} onOther={() => setMachine(null)} />;
  return (
    <Screen title={shared.takeInAMachine} back="/">
      {adding ? (
        <NewMachine family={family} onAdded={setMachine} onCancel={() => setAdding(false)} />
      ) : (
        <Choose family={family} onChoose={setMachine} onAdd={() => setAdding(true)} />
      )}
    </Screen>
  );
}

interface ChooseProps {
  /** Only machines of this family. */
  readonly family: string | undefined;
  readonly onChoose: (machine: MachineChoice) => void;
  readonly onAdd: () => void;
}

function Choose({ family, onChoose, onAdd }: ChooseProps) {
  const families = useFamilies();
  const [sought, setSought] = useState('');
  const machines = useMachines(useDeferredValue(sought.trim()), family);
  const kind = (id: string) => families.find((each) => each.id === id)?.name ?? '';
  const found = machines.data?.machines;
  return (
    <>
      <Field label={t.findItByNameOwner} value={sought} onChangeText={setSought} />
      <Button label={t.itIsNotOnThe} onPress={onAdd} />
      {found?.map((machine) => (
        <Button
          key={machine.id}
          big
          label={machine.label}
          detail={[machine.owner, machine.modelName ?? kind(machine.family), machine.serial].filter(Boolean).join(' · ')}
          onPress={() => onChoose(machine)}
        />
      ))}
      {machines.data?.more ? <Text variant="soft">{t.thereAreMoreAnotherWord}</Text> : null}
      {found?.length === 0 ? (
        <Card tone="sunken">
          <Text>{sought ? t.noMachineHereMatches(sought) : shared.noMachineIsOnRecord}</Text>
        </Card>
      ) : null}
      {found ? null : <Text variant="soft">{machines.error?.message ?? shared.fetchingTheMachines}</Text>}
    </>
  );
}
