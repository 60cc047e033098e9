import { secondCheckOf, handsOf } from '@patient-badger/core';
import type { Person } from '@patient-badger/contract';
import { usePerson } from '../data/person.ts';
import { useMe, useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { OutsideCheck } from './OutsideCheck.tsx';

/** On a safety-critical job, and on an apprentice’s, somebody who had no hand in it looks the work over before it can be closed. */
export function SecondCheck({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const person = usePerson();
  const me = useMe();
  const people = useShop().data?.people ?? [];
  const { write, problem } = useRecord(job.id);
  const workers = handsOf(state);
  const nameOf = (id: string) => people.find((each) => each.id === id)?.name ?? id;
  const byApprentice = [...workers].some((id) => people.find((each) => each.id === id)?.role === 'apprentice');
  if (!pack.safetyCritical && !byApprentice && me?.role !== 'apprentice') return null;
  const check = secondCheckOf(state);
  if (check) {
    return (
      <Card>
        <Text variant="head">Looked over by {check.outside ?? nameOf(check.by)}</Text>
        {check.outside === null ? null : <Text variant="soft">From outside, with a signed sheet; written down by {nameOf(check.by)}.</Text>}
      </Card>
    );
  }
  const hadAHand = person !== null && workers.has(person);
  const mayNot = me?.role === 'apprentice';
  const alone = !people.some((each) => each.id !== person && canCheck(each));
  return (
    <Card tone={pack.safetyCritical ? 'danger' : 'plain'}>
      <Text variant="head">Second check</Text>
      <Text>
        Somebody who had no hand in this goes over every joint, nut and lock, and tries it. The maker’s manual, local codes and licensed
        inspection come first.
      </Text>
      {hadAHand ? (
        <Text variant="danger">You worked on it yourself, {nameOf(person)}. Another person has to say who they are and check it.</Text>
      ) : null}
      {mayNot && !hadAHand ? <Text variant="danger">A second check is signed by an owner or a mechanic.</Text> : null}
      {alone ? null : (
        <Button
          variant="danger"
          disabled={hadAHand || mayNot || person === null}
          label="I looked it over and tried it"
          testID="second-check"
          onPress={() => void write({ kind: 'secondChecked' })}
        />
      )}
      {alone && me ? <OutsideCheck view={view} /> : null}
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}

const canCheck = ({ role, retired }: Person) => role !== 'apprentice' && !retired;
