import { cautionsOn, type Fault, type JobState, type Pack } from '@patient-badger/core';
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
import { minutesText } from '../design/words.ts';
import { JobFrame, type JobView } from '../job/JobFrame.tsx';
import { Cautions, useUnacknowledged } from '../trace/Cautions.tsx';
import { CloseOut } from './CloseOut.tsx';
import { JobRecord } from './JobRecord.tsx';

/** The way back: put in, set up, prove, close, with the record at the end. */
export const CloseScreen = () => (
  <JobFrame stage="close">{(view) => (view.state.closed ? <JobRecord view={view} /> : <Closing view={view} />)}</JobFrame>
);

function Closing({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const router = useRouter();
  const fault = pack.faults.find(({ id }) => id === state.decided?.fault);
  if (!fault) {
    return (
      <Card tone="sunken">
        <Text look="head">Nothing decided yet</Text>
        <Text>Decide what it was first; the way back follows from that. A job can also be closed as it is.</Text>
        <Button look="primary" big label="Go and decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        <CloseOut view={view} />
      </Card>
    );
  }
  return (
    <>
      <Card>
        <Text look="label">What it was</Text>
        <Text look="head">{fault.name}</Text>
        <Text>{fault.remedy.text}</Text>
      </Card>
      <PartLine view={view} fault={fault} />
      <WayBack view={view} steps={closingSteps(pack, state)} />
      <Proofs view={view} />
      <CloseOut view={view} />
    </>
  );
}

/** Steps that undo what was opened, and those that exist only on the way back. */
const closingSteps = (pack: Pack, { reached }: JobState) =>
  pack.closing.filter(({ closes }) => closes === undefined || reached.includes(closes));

function PartLine({ view: { job, state }, fault }: { view: JobView; fault: Fault }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const part = fault.remedy.part;
  if (!part) return null;
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
          <BackStep key={step.id} view={view} step={step} />
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

function BackStep({ view: { job, state, pack }, step }: { view: JobView; step: Pack['closing'][number] }) {
  const { write, problem } = useRecord(job.id);
  const cautions = cautionsOn(pack, step.cautions, []);
  const blocked = useUnacknowledged(state, cautions).length > 0;
  return (
    <Card tone="next">
      <View className="flex-row items-baseline justify-between gap-3">
        <Text look="strong" className="flex-1">
          {step.name}
        </Text>
        <Text look="label">{minutesText(step.minutes)}</Text>
      </View>
      <Text>{step.how}</Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      <Button
        look="primary"
        disabled={blocked}
        label={`Done: ${step.name}`}
        testID={`back-${step.id}`}
        onPress={() => void write({ kind: 'closingDone', step: step.id })}
      />
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Card>
  );
}

function Proofs({ view: { job, state, pack } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const cautions = pack.proofs.flatMap((proof) => cautionsOn(pack, proof.cautions, []));
  const blocked = useUnacknowledged(state, cautions).length > 0;
  return (
    <>
      <Text look="head">Prove it</Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {pack.proofs.map((proof) => {
        const result = state.proofs.find((each) => each.proof === proof.id);
        return (
          <Card key={proof.id} tone={result ? 'plain' : 'next'}>
            <Text look="strong">{proof.name}</Text>
            <Text>{proof.how}</Text>
            <View role="radiogroup" aria-label={proof.name} className="flex-row gap-2">
              <Button
                className="flex-1"
                disabled={blocked}
                label="It does"
                testID={`passed-${proof.id}`}
                look={result?.passed ? 'chosen' : 'plain'}
                checked={result?.passed === true}
                onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: true })}
              />
              <Button
                className="flex-1"
                disabled={blocked}
                label="It does not"
                look={result?.passed === false ? 'danger' : 'plain'}
                checked={result?.passed === false}
                onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: false })}
              />
            </View>
            {result?.passed === false ? (
              <Text>
                Then it is not over: go back to Trace. What was seen is still there, and the decision can be taken back in the log.
              </Text>
            ) : null}
          </Card>
        );
      })}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </>
  );
}
