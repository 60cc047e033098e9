import { toSetRight, type Fault, type JobState, type Pack } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import Check from 'lucide-react-native/icons/check';
import Circle from 'lucide-react-native/icons/circle';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { hasCard } from '../gear/hasCard.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { StepCard } from '../job/StepCard.tsx';
import { CloseOut } from './CloseOut.tsx';
import { Proofs } from './Proofs.tsx';
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
        <Text look="head">Nothing decided yet</Text>
        <Text>Decide what it was first; the way back follows from that. A job can also be closed as it is.</Text>
        <Button look="primary" big label="Go and decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        <SecondCheck view={view} />
        <CloseOut view={view} />
      </Card>
    );
  }
  return (
    <>
      {state.decided.note ? (
        <Card>
          <Text look="label">What it was</Text>
          <Text look="head">{state.decided.note}</Text>
        </Card>
      ) : null}
      {faults.map((fault) => (
        <View key={fault.id} className="gap-3">
          <Card>
            <Text look="label">What it was</Text>
            <Text look="head">{fault.name}</Text>
            <Text>{fault.remedy.text}</Text>
          </Card>
          <PartLine view={view} fault={fault} />
        </View>
      ))}
      <WayBack view={view} steps={closingSteps(pack, state)} />
      <Proofs view={view} />
      <SecondCheck view={view} />
      <CloseOut view={view} />
    </>
  );
}

/** Steps that undo what was opened, and those that exist only on the way back. */
const closingSteps = (pack: Pack, { reached }: JobState) =>
  pack.closing.filter(({ closes }) => closes.length === 0 || closes.some((step) => reached.includes(step)));

function PartLine({ view: { job, state, pack }, fault }: { view: JobView; fault: Fault }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const part = fault.remedy.part;
  if (!part) return null;
  if (!hasCard(pack, part)) {
    return <Button label="Write down the part you fit" onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />;
  }
  const { chosen, fitted } = state.gears[part] ?? {};
  if (!chosen) {
    return (
      <Card tone="next">
        <Text look="head">A part is needed and none is chosen</Text>
        <Button look="primary" label="Find the part" onPress={() => router.navigate(`/jobs/${job.id}/gear/${part}`)} />
      </Card>
    );
  }
  return (
    <Card tone={fitted ? 'plain' : 'next'}>
      <Text look="label">{fitted ? 'Fitted' : 'Chosen part'}</Text>
      <Text look="head">
        {chosen.partNumber} · {chosen.name}
      </Text>
      {fitted ? null : <Text>Lay it beside the old one and compare before it goes in.</Text>}
      {fitted ? null : (
        <Button
          look="primary"
          big
          label="It is fitted"
          testID="fitted"
          onPress={() => void write({ kind: 'partFitted', gear: part, partId: chosen.partId, partNumber: chosen.partNumber })}
        />
      )}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Card>
  );
}

/** One step at a time: the first that is not done lies open, any other can be opened by pressing it. */
function WayBack({ view, steps }: { view: JobView; steps: Pack['closing'] }) {
  const [pressed, setPressed] = useState<string | null>(null);
  const isDone = (id: string) => view.state.closingDone.includes(id);
  const open = steps.find(({ id }) => id === pressed && !isDone(id)) ?? steps.find(({ id }) => !isDone(id));
  return (
    <View className="gap-2">
      <Text look="head">
        The way back: {steps.filter(({ id }) => isDone(id)).length} of {steps.length} done
      </Text>
      {steps.map((step) =>
        step.id === open?.id ? (
          <StepCard
            key={step.id}
            jobId={view.job.id}
            state={view.state}
            pack={view.pack}
            step={step}
            entry={{ kind: 'closingDone', step: step.id }}
            testID={`back-${step.id}`}
          />
        ) : (
          <StepLine key={step.id} name={step.name} done={isDone(step.id)} onPress={() => setPressed(step.id)} />
        ),
      )}
    </View>
  );
}

function StepLine({ name, done, onPress }: { name: string; done: boolean; onPress: () => void }) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={done ? `${name}, done` : name}
      disabled={done}
      onPress={onPress}
      className="min-h-[48px] flex-row items-center gap-3 border-b border-line px-2"
    >
      {done ? <Check color={colours.good} size={22} /> : <Circle color={colours.soft} size={22} />}
      <Text className="flex-1">{name}</Text>
    </Pressable>
  );
}
