import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import { usualUse } from '@patient-badger/core';
import { laterLooks, openFollowUps, type FollowUp, type Payload } from '@patient-badger/core/job';
import { addDays, format, parseISO } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { isComing } from '../data/isComing.ts';
import { useMachineHistory } from '../data/jobs.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { DateField } from '../design/DateField.tsx';
import { Field } from '../design/Field.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { FOLLOW_UP_WORDS } from '../wording/followUpWords.ts';
import { CalendarFile } from './CalendarFile.tsx';
import { BackToTrace } from './ProofCard.tsx';

/** When the owner is asked whether it holds. */
const ASK_AFTER_DAYS = 30;
const today = () => format(new Date(), 'yyyy-MM-dd');

/** What is to be looked at again and asked, each on its day; on the bench until it is done. */
export function FollowUps({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const { write, writeAll, problem } = useRecord(job.id);
  const [adding, setAdding] = useState(false);
  const open = openFollowUps(state);
  const done = state.followUps.filter((each) => each.done !== null);
  const history = useMachineHistory(job.machineId);
  // Nobody said how much it is used: then its own meters do.
  const used = { ...state, use: state.use ?? usualUse(history.data?.yearly) };
  const foreseen = laterLooks(pack, used, {
    on: (state.closed?.at ?? new Date().toISOString()).slice(0, 10),
    usedGear: t.wearOfAUsedOne,
  }).filter(
    // Of a job of last year nothing is foreseen any more.
    ({ due }) => due >= today(),
  );
  return (
    <View className="no-print gap-3">
      {open.map((each) => (
        <Open key={each.id} view={view} followUp={each} onWrite={writeAll} />
      ))}
      {done.map((each) => (
        <Done key={each.id} view={view} followUp={each} />
      ))}
      {foreseen.length > 0 && !isComing(history) ? (
        <Button
          label={t.toBeLookedAtLater([...new Set(foreseen.map(({ what }) => what))].join('; '))}
          detail={t.onTheBenchsListFor(foreseen.map(({ due }) => format(parseISO(due), 'd MMM yyyy')).join(shared.and2))}
          testID="put-later"
          onPress={() => void writeAll(foreseen)}
        />
      ) : null}
      {adding ? (
        <AddFollowUp onAdd={write} onClose={() => setAdding(false)} />
      ) : (
        <Button label={t.lookAgainOrCallThe} testID="add-follow-up" onPress={() => setAdding(true)} />
      )}
      {open.length > 0 ? <CalendarFile path={`/api/jobs/${job.id}/follow-ups.ics`} name="follow-ups.ics" testID="calendar-file" /> : null}
      <Problem text={problem} />
    </View>
  );
}

type WriteAll = ReturnType<typeof useRecord>['writeAll'];

function Open({ view, followUp, onWrite }: { view: JobView; followUp: FollowUp; onWrite: WriteAll }) {
  const { state, pack } = view;
  const proof = pack.proofs.find(({ id }) => id === followUp.proof);
  const isDue = followUp.due <= today();
  const done = (passed: boolean) =>
    void onWrite([
      { kind: 'followUpDone', followUp: followUp.id, passed },
      ...(!passed && state.closed ? [{ kind: 'reopened' as const, reason: t.itDidNotHoldWithWhat(followUp.what) }] : []),
    ]);
  return (
    <Card tone={isDue ? 'next' : 'plain'} testID="follow-up">
      <Text variant="label">
        {FOLLOW_UP_WORDS[followUp.action]}, {format(parseISO(followUp.due), 'd MMMM yyyy')}
        {isDue ? t.due : ''}
      </Text>
      <Text variant="strong">{followUp.what}</Text>
      {proof ? <Text>{proof.how}</Text> : null}
      {followUp.action === 'call' && view.machine?.owner ? <Text variant="soft">{view.machine.owner}</Text> : null}
      <View className="flex-row gap-2">
        <Button className="flex-1" label={t.itHolds} testID="it-holds" onPress={() => done(true)} />
        <Button className="flex-1" label={t.itDoesNot} testID="it-does-not" onPress={() => done(false)} />
      </View>
    </Card>
  );
}

/** What came of it; where it did not hold, the way back to the tracing, until somebody decides anew. */
function Done({ view, followUp: { id, what, proof, done, due } }: { view: JobView; followUp: FollowUp }) {
  const { pack, state } = view;
  const decided = state.active.findLast(({ payload }) => payload.kind === 'decided');
  const isOpen = done?.passed === false && decided !== undefined && decided.at < done.at;
  return (
    <>
      <Text variant={done?.passed ? 'soft' : 'danger'}>
        {what}, {format(parseISO(due), 'd MMM yyyy')}: {done?.passed ? t.itHeld : t.itDidNotHold}
      </Text>
      {isOpen ? <BackToTrace view={view} proof={pack.proofs.find((each) => each.id === proof) ?? { id, name: what }} /> : null}
    </>
  );
}

function AddFollowUp({ onAdd, onClose }: { onAdd: ReturnType<typeof useRecord>['write']; onClose: () => void }) {
  const [action, setAction] = useState<Payload<'followUpSet'>['action']>('call');
  const [what, setWhat] = useState(t.doesItStillHoldAny);
  const [due, setDue] = useState(format(addDays(new Date(), ASK_AFTER_DAYS), 'yyyy-MM-dd'));
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    if (!/^\d{4}-\d\d-\d\d$/.test(due) || Number.isNaN(Date.parse(due))) return setWrong(t.pickTheDay);
    if (what.trim() === '') return setWrong(t.sayWhatIsToBe);
    if (await onAdd({ kind: 'followUpSet', action, what: what.trim(), due })) onClose();
  };
  return (
    <Card tone="sunken">
      <Segments
        label={shared.what}
        options={[
          ['call', FOLLOW_UP_WORDS.call],
          ['look', FOLLOW_UP_WORDS.look],
        ]}
        value={action}
        onChange={setAction}
      />
      <Field label={action === 'call' ? t.whatToAsk : t.whatToLookAt} value={what} onChangeText={setWhat} testID="follow-up-what" />
      <DateField label={t.on} value={due} onChange={setDue} testID="follow-up-due" />
      <Problem text={wrong} />
      <FormFoot label={t.putOnTheList} testID="keep-follow-up" onKeep={() => void keep()} onClose={onClose} />
    </Card>
  );
}
