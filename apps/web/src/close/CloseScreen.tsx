import { t } from '@patient-badger/wording/close';
import { t as shared } from '@patient-badger/wording/shared';
import { findsParts, openSettings, remediesOfFaults, toSetRight, workOfJob } from '@patient-badger/core/job';
import { gearsOfFault, type Fault } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LaterCaptures } from '../access/LaterCaptures.tsx';
import { WayBack } from '../access/WayBack.tsx';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { CloseOut } from './CloseOut.tsx';
import { Intervals } from '../prove/Intervals.tsx';
import { ProofPlan } from '../prove/ProofPlan.tsx';
import { SecondCheck } from './SecondCheck.tsx';
import { JobRecord } from './JobRecord.tsx';

/** The way back: put in, set up, prove, close, with the record at the end. */
export const CloseScreen = () => (
  <JobFrame stage="close">{(view) => (view.state.closed ? <JobRecord view={view} /> : <Closing view={view} />)}</JobFrame>
);

function Closing({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const router = useRouter();
  const faults = toSetRight(pack, state);
  if (!state.decided) {
    return (
      <Card tone="sunken">
        <Text variant="head">{t.nothingDecidedYet}</Text>
        <Text>{t.decideWhatItWasFirst}</Text>
        <Button variant="primary" big label={t.goAndDecide} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        <SecondCheck view={view} />
        <CloseOut view={view} />
      </Card>
    );
  }
  return (
    <>
      {state.decided.note ? (
        <Card>
          <Text variant="label">{shared.whatItWas}</Text>
          <Text variant="head">{state.decided.note}</Text>
        </Card>
      ) : null}
      {faults.map((fault) => (
        <View key={fault.id} className="gap-3">
          <Card>
            <Text variant="label">{shared.whatItWas}</Text>
            <Text variant="head">{fault.name}</Text>
            {remediesOfFaults(pack, [fault], state).map(({ id, name }) => (
              <Text key={id}>{name}</Text>
            ))}
          </Card>
          <PartLine view={view} fault={fault} />
        </View>
      ))}
      <Button
        label={shared.partsAndTime}
        detail={t.otherPartsMinutesAndWhat}
        testID="to-items"
        onPress={() => router.navigate(`/jobs/${job.id}/items`)}
      />
      <Button label={shared.setUp} detail={setupText(view)} testID="to-setup" onPress={() => router.navigate(`/jobs/${job.id}/setup`)} />
      {pack.proofs.some(({ desk }) => desk === 'speedometer') ? (
        <Button label={t.ratioOfTheGears} testID="to-ratio" onPress={() => router.navigate(`/jobs/${job.id}/ratio`)} />
      ) : null}
      {pack.proofs.some(({ desk }) => desk === 'turns') ? (
        <Button label={t.odometerReading} testID="to-odometer" onPress={() => router.navigate(`/jobs/${job.id}/ratio?desk=odometer`)} />
      ) : null}
      <LaterCaptures view={view} />
      <WayBack view={view} />
      <ProofPlan view={view} />
      <Intervals view={view} />
      <SecondCheck view={view} />
      <CloseOut view={view} />
    </>
  );
}

/** What the family wants set, the first that is open before all. */
function setupText({ pack, state }: JobView): string {
  const { settings } = workOfJob(pack, state);
  const open = openSettings(pack, state);
  if (settings.length === 0) return t.backlashShimsTorquesAndThe;
  return open.length === 0
    ? t.everythingThatTheFamilyForesees
    : t.ofOpen(open.length, settings.length, open.map(({ name }) => name.toLowerCase()).join(', '));
}

function PartLine({ view: { job, state, pack }, fault }: { view: JobView; fault: Fault }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [part] = gearsOfFault(pack, fault);
  if (!part) return null;
  if (!findsParts(pack, part)) {
    return <Button label={t.writeDownThePartYou} onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />;
  }
  const { chosen, fitted } = state.gears[part] ?? {};
  if (!chosen) {
    return (
      <Card tone="next">
        <Text variant="head">{t.aPartIsNeededAnd}</Text>
        <Button variant="primary" label={t.findThePart} onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />
        <Text variant="soft">{t.aPartFromElsewhereIs}</Text>
      </Card>
    );
  }
  return (
    <Card tone={fitted ? 'plain' : 'next'}>
      <Text variant="label">{fitted ? shared.fitted : t.chosenPart}</Text>
      <Text variant="head">
        {chosen.partNumber} · {chosen.name}
      </Text>
      {fitted ? null : <Text>{t.layItBesideTheOld}</Text>}
      {fitted ? null : (
        <Button
          variant="primary"
          big
          label={shared.itIsFitted}
          testID="fitted"
          onPress={() =>
            void write({
              kind: 'partFitted',
              gear: part,
              partId: chosen.partId,
              partNumber: chosen.partNumber,
              ...(chosen.source && { source: chosen.source }),
            })
          }
        />
      )}
      <Problem text={problem} />
    </Card>
  );
}
