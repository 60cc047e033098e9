import { machineRecord, type JobState, type MachineRecord, type PartInMachine } from '@patient-badger/core';
import type { Machine } from '@patient-badger/contract';
import { format, parseISO } from 'date-fns';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { usePackOf } from '../data/families.ts';
import { useJobsOfMachine, useMachines } from '../data/queries.ts';
import { Card } from '../design/Card.tsx';
import { LinkArea } from '../design/LinkArea.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { OUTCOMES } from '../wording/outcomes.ts';

/** One machine's own record: its plate, what went in and what that has worked since, every job. */
export function MachineScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const machines = useMachines();
  const jobs = useJobsOfMachine(id);
  const machine = machines.data?.find((each) => each.id === id);
  const record = useMemo(() => machineRecord(jobs.data ?? []), [jobs.data]);
  return (
    <Screen title={machine?.label ?? 'Machine'} under={[machine?.owner, machine?.modelName].filter(Boolean).join(' · ')} back="/">
      {machine ? <Plate machine={machine} record={record} /> : null}
      {jobs.data ? (
        <Record record={record} machine={machine} />
      ) : (
        <Text variant="soft">{jobs.error?.message ?? 'Looking up the record …'}</Text>
      )}
    </Screen>
  );
}

const Plate = ({ machine, record }: { machine: Machine; record: MachineRecord }) => (
  <Card>
    <Text variant="head">Plate</Text>
    <Text>{machine.serial ? `Serial plate: ${machine.serial}` : 'No serial plate noted.'}</Text>
    {record.plates.map(({ partNumber, where, at }) => (
      <Text key={partNumber}>
        {partNumber}: {where} <Text variant="soft">({day(at)})</Text>
      </Text>
    ))}
  </Card>
);

function Record({ record: { parts, jobs, again }, machine }: { record: MachineRecord; machine: Machine | undefined }) {
  const packOf = usePackOf();
  const pack = machine && packOf(machine.family, machine.modelId);
  const gearName = (id: string) => pack?.gears.find((each) => each.id === id)?.name ?? id;
  return (
    <>
      {again.map(({ gear, times }) => (
        <Card key={gear} tone="danger">
          <Text variant="danger">
            {gearName(gear)}: replaced {times} times
          </Text>
          <Text>Look for what breaks it before another goes in: its mate, the seat, the grease, what it is made to push.</Text>
        </Card>
      ))}
      <Text variant="head">Parts that went in</Text>
      {parts.length === 0 ? <Text variant="soft">None on record.</Text> : null}
      {parts.map((part) => (
        <Card key={`${part.jobId}/${part.gear}/${part.partNumber}`} tone={part.state === 'fitted' ? 'plain' : 'sunken'}>
          <Text variant="strong">
            {part.partNumber} · {gearName(part.gear)}
          </Text>
          <Text variant="soft">{partText(part)}</Text>
        </Card>
      ))}
      <Text variant="head">Jobs: {jobs.length}</Text>
      {jobs.map((job) => (
        <JobLine key={job.jobId} job={job} />
      ))}
    </>
  );
}

function JobLine({ job: { jobId, takenIn, takenInAt, closed } }: { job: JobState }) {
  const router = useRouter();
  return (
    <LinkArea
      aria-label={`${takenIn?.complaint ?? 'Job'}, ${closed ? 'finished' : 'on the bench'}`}
      className="min-h-[56px] gap-1 rounded-lg border-2 border-line bg-surface p-3 active:opacity-70"
      onPress={() => router.navigate(closed ? `/jobs/${jobId}/close` : `/jobs/${jobId}`)}
    >
      <Text variant="label">
        {takenInAt ? day(takenInAt) : ''} · {closed ? OUTCOMES[closed.outcome] : 'On the bench'}
      </Text>
      <Text>“{takenIn?.complaint}”</Text>
      {closed ? <Text variant="soft">{closed.found}</Text> : null}
    </LinkArea>
  );
}

/** When a part went in and what it has worked since. */
export function partText({ state, at, fromShelf, hours, workedHours, km, workedKm }: PartInMachine): string {
  const how = state === 'fitted' ? `Fitted ${day(at)}` : `Accepted ${day(at)}, not noted as fitted`;
  const meters = [
    ...(hours === undefined ? [] : [`at ${hours} h, ${workedHours ?? 0} h since`]),
    ...(km === undefined ? [] : [`at ${km} km, ${workedKm ?? 0} km since`]),
  ];
  return [how, ...(fromShelf ? ['off the shelf'] : []), ...meters].join('; ');
}

const day = (at: string) => format(parseISO(at), 'd MMM yyyy');
