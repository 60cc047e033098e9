import type { Machine, MachineDraft } from '@patient-badger/contract';
import { findFamily } from '@patient-badger/knowledge';
import { useState } from 'react';
import { useMachines } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../design/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { Complaint } from './Complaint.tsx';
import { NewMachine } from './NewMachine.tsx';

type Taken = Machine | MachineDraft;

/** A machine comes in: find it or write it down, then what its owner says. */
export function TakeInScreen() {
  const [machine, setMachine] = useState<Taken | null>(null);
  const [adding, setAdding] = useState(false);
  const pack = machine && findFamily(machine.family);
  if (machine && pack) return <Complaint machine={machine} pack={pack} onOther={() => setMachine(null)} />;
  return (
    <Screen title="Take in a machine" back="/">
      {adding ? (
        <NewMachine onAdded={setMachine} onCancel={() => setAdding(false)} />
      ) : (
        <Choose onChoose={setMachine} onAdd={() => setAdding(true)} />
      )}
    </Screen>
  );
}

function Choose({ onChoose, onAdd }: { onChoose: (machine: Taken) => void; onAdd: () => void }) {
  const machines = useMachines();
  const [sought, setSought] = useState('');
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const found = machines.data?.filter(({ label, owner, serial, modelName }) => {
    const text = `${label} ${owner} ${serial} ${modelName ?? ''}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
  return (
    <>
      <Field label="Find it by name, owner, model or serial plate" value={sought} onChangeText={setSought} />
      <Button label="It is not on the list: write it down" onPress={onAdd} />
      {found?.map((machine) => (
        <Button
          key={machine.id}
          big
          label={machine.label}
          detail={[machine.owner, machine.modelName, machine.serial].filter(Boolean).join(' · ')}
          onPress={() => onChoose(machine)}
        />
      ))}
      {found?.length === 0 ? (
        <Card tone="sunken">
          <Text>{sought ? `No machine here matches “${sought}”.` : 'No machine is on record yet.'}</Text>
        </Card>
      ) : null}
      {found ? null : <Text look="soft">{machines.error?.message ?? 'Fetching the machines …'}</Text>}
    </>
  );
}
