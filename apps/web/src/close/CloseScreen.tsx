import { findsParts, openSettings, toSetRight, type Fault } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { WayBack } from '../access/WayBack.tsx';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
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
        <Text variant="head">Nothing decided yet</Text>
        <Text>Decide what it was first; the way back follows from that. A job can also be closed as it is.</Text>
        <Button variant="primary" big label="Go and decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        <SecondCheck view={view} />
        <CloseOut view={view} />
      </Card>
    );
  }
  return (
    <>
      {state.decided.note ? (
        <Card>
          <Text variant="label">What it was</Text>
          <Text variant="head">{state.decided.note}</Text>
        </Card>
      ) : null}
      {faults.map((fault) => (
        <View key={fault.id} className="gap-3">
          <Card>
            <Text variant="label">What it was</Text>
            <Text variant="head">{fault.name}</Text>
            <Text>{fault.remedy.text}</Text>
          </Card>
          <PartLine view={view} fault={fault} />
        </View>
      ))}
      <Button
        label="Parts and time"
        detail="Other parts, minutes, and what it comes to"
        testID="to-items"
        onPress={() => router.navigate(`/jobs/${job.id}/items`)}
      />
      <Button label="Set up" detail={setupText(view)} testID="to-setup" onPress={() => router.navigate(`/jobs/${job.id}/setup`)} />
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
  const { settings } = pack;
  const open = openSettings(pack, state);
  if (settings.length === 0) return 'Backlash, shims, torques and the rest';
  return open.length === 0
    ? 'Everything that the family foresees is set'
    : `${open.length} of ${settings.length} open: ${open.map(({ name }) => name.toLowerCase()).join(', ')}`;
}

function PartLine({ view: { job, state, pack }, fault }: { view: JobView; fault: Fault }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const part = fault.remedy.part;
  if (!part) return null;
  if (!findsParts(pack, part)) {
    return <Button label="Write down the part you fit" onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />;
  }
  const { chosen, fitted } = state.gears[part] ?? {};
  if (!chosen) {
    return (
      <Card tone="next">
        <Text variant="head">A part is needed and none is chosen</Text>
        <Button variant="primary" label="Find the part" onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />
        <Text variant="soft">A part from elsewhere is written down on the gear’s own card.</Text>
      </Card>
    );
  }
  return (
    <Card tone={fitted ? 'plain' : 'next'}>
      <Text variant="label">{fitted ? 'Fitted' : 'Chosen part'}</Text>
      <Text variant="head">
        {chosen.partNumber} · {chosen.name}
      </Text>
      {fitted ? null : <Text>Lay it beside the old one and compare before it goes in.</Text>}
      {fitted ? null : (
        <Button
          variant="primary"
          big
          label="It is fitted"
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
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}
