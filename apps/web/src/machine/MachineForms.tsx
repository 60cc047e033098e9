import { mergeObstacle } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/machine';
import { t as shared } from '@patient-badger/wording/shared';
import { machine as machineSchema, meterReading, type Machine, type MachineHistory } from '@patient-badger/contract';
import { format } from 'date-fns';
import { useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call } from '../data/api.ts';
import { useModels } from '../data/families.ts';
import { useMachines } from '../data/jobs.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { DateField } from '../design/DateField.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { ModelChoice } from '../families/ModelChoice.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { distanceText, kmFrom } from '../wording/distance.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { schemaProblem } from '../wording/schemaProblems.ts';

/** What is on record of the machine itself: changed, retired, or made one with another record of it. */
export function ChangeMachine({ machine }: { machine: Machine }) {
  const refresh = useRefresh();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(machine);
  const { attempt, problem } = useAttempt();
  const models = (useModels().data ?? []).filter(
    ({ family, retired, id }) => family === machine.family && (!retired || id === machine.modelId),
  );
  const send = async (change: object) => {
    await attempt(async () => {
      await call(`/api/machines/${machine.id}/change`, machineSchema, { json: change });
      await refresh('machine', 'machines', 'rows', 'job');
      setOpen(false);
    });
  };
  if (!open) return <Button label={t.changeWhatIsOnRecord} onPress={() => setOpen(true)} />;
  const { label, owner, contact, serial, modelId } = draft;
  return (
    <Card tone="next">
      <Field label={shared.whatYouCallIt} value={label} onChangeText={(next) => setDraft({ ...draft, label: next })} maxLength={120} />
      <Field label={shared.owner} value={owner} onChangeText={(next) => setDraft({ ...draft, owner: next })} maxLength={120} />
      <Field label={shared.howToReachThem} value={contact} onChangeText={(next) => setDraft({ ...draft, contact: next })} maxLength={200} />
      <Field label={shared.serialPlate} value={serial} onChangeText={(next) => setDraft({ ...draft, serial: next })} maxLength={120} />
      {models.length > 0 ? (
        <ModelChoice
          models={models}
          chosen={modelId}
          detailOf={({ note }) => note ?? undefined}
          onChoose={(next) => setDraft({ ...draft, modelId: next })}
        />
      ) : null}
      <Problem text={problem} />
      <Button
        variant="primary"
        label={shared.keepThis}
        testID="keep-machine"
        onPress={() => void send({ label, owner, contact, serial, ...(modelId !== machine.modelId && { modelId }) })}
      />
      <Button label={machine.retired ? t.itIsInUseAgain : t.retireIt} onPress={() => void send({ retired: !machine.retired })} />
      <Merge machine={machine} />
      <Button variant="quiet" label={shared.leaveItAsItIs} onPress={() => setOpen(false)} />
    </Card>
  );
}

/** Two records of one machine. */
function Merge({ machine }: { machine: Machine }) {
  const router = useRouter();
  const refresh = useRefresh();
  const [words, setWords] = useState('');
  const [open, setOpen] = useState(false);
  const { attempt, problem } = useAttempt();
  const found =
    useMachines(useDeferredValue(words.trim()), machine.family).data?.machines.filter((other) => mergeObstacle(machine, other) === null) ??
    [];
  const merge = async (into: string) => {
    await attempt(async () => {
      await call(`/api/machines/${machine.id}/merge`, machineSchema, { json: { into } });
      await refresh('machine', 'machines', 'machine-history', 'rows', 'shelf');
      router.navigate(`/machines/${into}`);
    });
  };
  if (!open) return <Button label={t.itIsOnRecordTwice} detail={t.makeTwoRecordsOfOne} onPress={() => setOpen(true)} />;
  return (
    <Card tone="sunken">
      <Text>{t.everythingOfThisRecordGoes}</Text>
      <Field label={t.theOtherRecordByName} value={words} onChangeText={setWords} />
      {words.trim() === ''
        ? null
        : found
            .slice(0, 5)
            .map(({ id, label, owner }) => (
              <Button key={id} variant="danger" label={t.into(label)} detail={owner} onPress={() => void merge(id)} />
            ))}
      <Problem text={problem} />
    </Card>
  );
}

/** Hours and distance as they were read over time, and what follows for a year. */
export function Meters({ machine, history: { meters, yearly } }: { machine: Machine; history: MachineHistory }) {
  const refresh = useRefresh();
  const unit = distanceUnit.use();
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState({ on: format(new Date(), 'yyyy-MM-dd'), hours: '', distance: '' });
  const { attempt, problem, setProblem } = useAttempt();
  const figure = (typed: string) => (typed.trim() === '' ? null : typedNumber(typed));
  const keep = async () => {
    const distance = figure(draft.distance);
    const given = {
      id: uuid(),
      on: draft.on,
      hours: figure(draft.hours),
      km: distance === null ? null : kmFrom(distance, unit),
    };
    const parsed = meterReading.safeParse(given);
    if (!parsed.success) return setProblem(schemaProblem(parsed.error, given));
    await attempt(async () => {
      await call(`/api/machines/${machine.id}/meter`, machineSchema, { json: parsed.data });
      await refresh('machine-history');
      setOpen(false);
    });
  };
  return (
    <Card>
      <Text variant="head">{t.meters}</Text>
      {yearly.hours === null && yearly.km === null ? (
        <Text variant="soft">{t.howMuchItWorksIn}</Text>
      ) : (
        <Text variant="strong">
          {t.inAYearAbout(
            [
              ...(yearly.hours === null ? [] : [`${Math.round(yearly.hours)} h`]),
              ...(yearly.km === null ? [] : [distanceText(yearly.km, unit)]),
            ].join(shared.and2),
          )}
        </Text>
      )}
      {meters.slice(0, 6).map(({ on, hours, km }, i) => (
        <Text key={`${on}/${i}`} variant="soft">
          {format(new Date(on), 'd MMM yyyy')}:{' '}
          {[...(hours === null ? [] : [`${hours} h`]), ...(km === null ? [] : [distanceText(km, unit)])].join(', ')}
        </Text>
      ))}
      {open ? (
        <>
          <DateField label={t.readOn} value={draft.on} onChange={(on) => setDraft({ ...draft, on })} />
          <Field label={shared.hours} value={draft.hours} onChangeText={(hours) => setDraft({ ...draft, hours })} inputMode="decimal" />
          <Field
            label={unit === 'km' ? shared.kilometres : shared.miles}
            value={draft.distance}
            onChangeText={(distance) => setDraft({ ...draft, distance })}
            inputMode="decimal"
          />
          <Problem text={problem} />
          <Button variant="primary" label={shared.keepTheReading} testID="keep-meter" onPress={() => void keep()} />
        </>
      ) : (
        <Button label={t.readItsMeter} onPress={() => setOpen(true)} />
      )}
    </Card>
  );
}
