import { secondCheckedBy, workersOf } from '@patient-badger/core';
import { usePerson } from '../data/person.ts';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';

/** On a safety-critical job somebody who had no hand in it looks the work over before it can be closed. */
export function SecondCheck({ view: { job, pack, state } }: { view: JobView }) {
  const person = usePerson();
  const people = useShop().data?.people ?? [];
  const { write, problem } = useRecord(job.id);
  if (!pack.safetyCritical) return null;
  const nameOf = (id: string) => people.find((each) => each.id === id)?.name ?? id;
  const checkedBy = secondCheckedBy(state);
  const workers = workersOf(state);
  const hadAHand = person !== null && workers.has(person);
  return (
    <Card tone={checkedBy ? 'plain' : 'danger'}>
      <Text variant="head">{checkedBy ? `Looked over by ${nameOf(checkedBy)}` : 'Second check'}</Text>
      {checkedBy ? null : (
        <>
          <Text>
            Somebody who had no hand in this goes over every joint, nut and lock, and tries it. The maker’s manual, local codes and licensed
            inspection come first.
          </Text>
          {hadAHand ? (
            <Text variant="danger">You worked on it yourself, {nameOf(person)}. Another person has to say who they are and check it.</Text>
          ) : null}
          <Button
            variant="danger"
            disabled={hadAHand || person === null}
            label="I looked it over and tried it"
            testID="second-check"
            onPress={() => void write({ kind: 'secondChecked' })}
          />
        </>
      )}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}
