import { t } from '@patient-badger/wording/close';
import { handsOf, secondCheckOf, type CheckProof } from '@patient-badger/core/job';
import type { Person } from '@patient-badger/contract';
import { usePerson } from '../data/person.ts';
import { useMe, useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { OutsideCheck } from './OutsideCheck.tsx';
import { useSigning } from './useSigning.tsx';

/** On a safety-critical job, and on an apprentice’s, somebody who had no hand in it looks the work over before it can be closed. */
export function SecondCheck({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const person = usePerson();
  const me = useMe();
  const people = useShop().data?.people ?? [];
  const { sign, form, problem, isDown } = useSigning(job.id, { isSafetyCritical: pack.safetyCritical });
  const workers = handsOf(state);
  const nameOf = (id: string) => people.find((each) => each.id === id)?.name ?? id;
  const byApprentice = [...workers].some((id) => people.find((each) => each.id === id)?.role === 'apprentice');
  if (!pack.safetyCritical && !byApprentice && me?.role !== 'apprentice') return null;
  const check = secondCheckOf(state, arrived);
  const pending = check === null && secondCheckOf(state) !== null;
  if (check) {
    return (
      <Card>
        <Text variant="head">{t.lookedOverBy(check.outside ?? nameOf(check.by))}</Text>
        {check.outside === null ? null : <Text variant="soft">{t.fromOutsideWithASigned(nameOf(check.by))}</Text>}
      </Card>
    );
  }
  const hadAHand = person !== null && workers.has(person);
  const mayNot = me?.role === 'apprentice';
  const alone = !people.some((each) => canCheck(each) && !workers.has(each.id));
  return (
    <Card tone={pack.safetyCritical ? 'danger' : 'plain'}>
      <Text variant="head">{t.secondCheck}</Text>
      <Text>{t.somebodyWhoHadNoHand}</Text>
      {hadAHand ? <Text variant="danger">{t.youHadAHandIn(nameOf(person))}</Text> : null}
      {mayNot && !hadAHand ? <Text variant="danger">{t.aSecondCheckIsSigned}</Text> : null}
      {alone ? null : (
        <Button
          variant="danger"
          disabled={hadAHand || mayNot || person === null || pending}
          label={t.iLookedItOverAnd}
          testID="second-check"
          onPress={() => sign({ kind: 'secondChecked' })}
        />
      )}
      {form}
      {pending ? <Text variant="strong">{t.writtenAsPendingItCounts}</Text> : null}
      {isDown && pack.safetyCritical && !pending ? <Text variant="soft">{t.noConnectionItIsWritten}</Text> : null}
      {alone && me ? <OutsideCheck view={view} /> : null}
      <Problem text={problem} />
    </Card>
  );
}

/** A check that waits on this device counts for nothing yet. */
export const arrived: CheckProof = { isSigned: ({ seq }) => seq !== undefined };

const canCheck = ({ role, retired }: Person) => role !== 'apprentice' && !retired;
