import { isChangeable } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/machine';
import { t as shared } from '@patient-badger/wording/shared';
import type { JobRow, Machine, MachineHistory } from '@patient-badger/contract';
import { format, parseISO } from 'date-fns';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { usePackOf } from '../data/families.ts';
import { useMachine, useMachineHistory } from '../data/jobs.ts';
import { useRows } from '../data/rows.ts';
import { ChangeMachine, Meters } from './MachineForms.tsx';
import { DueCard } from './DueCard.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { partText } from './partText.ts';
import { UseLine } from './UseLine.tsx';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { type Outcome, OUTCOMES } from '../wording/outcomes.ts';
import { LinkArea } from '../design/LinkArea.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';

/** One machine's own record: its plate, what went in and what that has worked since, every job. */
export function MachineScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const machine = useMachine(id);
  const history = useMachineHistory(id);
  return (
    <Screen
      title={machine?.label ?? shared.machine}
      under={[machine?.owner, machine?.modelName].filter(Boolean).join(' · ')}
      back="/machines"
    >
      {machine?.mergedInto ? <MergedInto id={machine.mergedInto} /> : null}
      {machine ? <Plate machine={machine} plates={history.data?.plates ?? []} /> : null}
      {machine && history.data ? <DueCard machineId={machine.id} history={history.data} /> : null}
      {history.data ? <Life machineId={id} history={history.data} /> : null}
      {machine && history.data ? <Meters machine={machine} history={history.data} /> : null}
      {machine && isChangeable(machine) ? <ChangeMachine key={machine.id} machine={machine} /> : null}
      {history.data ? (
        <Record history={history.data} machine={machine} />
      ) : (
        <Text variant="soft">{history.error?.message ?? t.lookingUpTheRecord}</Text>
      )}
      <Jobs machineId={id} />
    </Screen>
  );
}

const Plate = ({ machine, plates }: { machine: Machine; plates: MachineHistory['plates'] }) => (
  <Card>
    <Text variant="head">{t.plate}</Text>
    {machine.contact ? <Text>{t.ownerReached(machine.contact)}</Text> : null}
    <Text>{machine.serial ? t.serialPlate(machine.serial) : t.noSerialPlateNoted}</Text>
    <BookLink machine={machine} />
    {plates.map(({ partNumber, where, at }) => (
      <Text key={partNumber}>
        {partNumber}: {where} <Text variant="soft">({day(at)})</Text>
      </Text>
    ))}
  </Card>
);

function BookLink({ machine: { modelId, modelName } }: { machine: Machine }) {
  const router = useRouter();
  if (!modelId) return null;
  return <Button label={t.theBookOf(modelName ?? '')} onPress={() => router.navigate(`/models/${modelId}`)} />;
}

function MergedInto({ id }: { id: string }) {
  const router = useRouter();
  return (
    <Card tone="sunken">
      <Text variant="strong">{t.thisRecordWasMadeOne}</Text>
      <Button label={t.toThatRecord} onPress={() => router.navigate(`/machines/${id}`)} />
    </Card>
  );
}

/** Its use over time with what was done to it. */
function Life({ machineId, history }: { machineId: string; history: MachineHistory }) {
  const jobs = useRows({ machine: machineId });
  return <UseLine history={history} jobs={(jobs.rows ?? []).flatMap(({ takenInAt }) => takenInAt ?? [])} />;
}

function Jobs({ machineId }: { machineId: string }) {
  const jobs = useRows({ machine: machineId });
  if (!jobs.rows) return null;
  return (
    <>
      <Text variant="head">{shared.jobs2}</Text>
      {jobs.rows.map((row) => (
        <JobLine key={row.id} row={row} />
      ))}
      {jobs.hasNextPage ? (
        <Button label={shared.earlierOnes} disabled={jobs.isFetchingNextPage} onPress={() => void jobs.fetchNextPage()} />
      ) : null}
    </>
  );
}

function Record({ history: { parts, again }, machine }: { history: MachineHistory; machine: Machine | undefined }) {
  const distance = distanceUnit.use();
  const packOf = usePackOf();
  const pack = machine && packOf(machine.family, machine.modelId);
  const gearName = (id: string) => pack?.gears.find((each) => each.id === id)?.name ?? id;
  return (
    <>
      {again.map(({ gear, times }) => (
        <Card key={gear} tone="danger">
          <Text variant="danger">{t.replacedTimes(gearName(gear), times)}</Text>
          <Text>{t.lookForWhatBreaksIt}</Text>
        </Card>
      ))}
      <Text variant="head">{t.partsThatWentIn}</Text>
      {parts.length === 0 ? <Text variant="soft">{t.noneOnRecord}</Text> : null}
      {parts.map((part) => (
        <Card key={`${part.jobId}/${part.gear}/${part.partNumber}`} tone={part.state === 'fitted' ? 'plain' : 'sunken'}>
          <Text variant="strong">
            {part.partNumber} · {gearName(part.gear)}
          </Text>
          <Text variant="soft">{partText(part, distance)}</Text>
        </Card>
      ))}
    </>
  );
}

function JobLine({ row: { id, complaint, takenInAt, closedAt, found, outcome } }: { row: JobRow }) {
  const router = useRouter();
  return (
    <LinkArea
      className="min-h-[56px] gap-1 rounded-lg border-2 border-line bg-surface p-3 active:opacity-70"
      onPress={() => router.navigate(closedAt ? `/jobs/${id}/close` : `/jobs/${id}`)}
    >
      <Text variant="label">
        {takenInAt ? day(takenInAt) : ''} · {closedAt ? (OUTCOMES[outcome as Outcome] ?? shared.finished) : shared.onTheBench}
      </Text>
      <Text>“{complaint}”</Text>
      {found ? <Text variant="soft">{found}</Text> : null}
    </LinkArea>
  );
}

const day = (at: string) => format(parseISO(at), 'd MMM yyyy');
