import { cautionsOn, type Fault, type JobState, type Pack } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../design/words.ts';
import { JobFrame, type JobView } from '../job/JobFrame.tsx';
import { Cautions, useUnacknowledged } from '../trace/Cautions.tsx';
import { CloseOut } from './CloseOut.tsx';
import { JobRecord } from './JobRecord.tsx';

/** The way back: put in, set up, prove, close, with the record at the end. */
export const CloseScreen = () => <JobFrame stage="close">{(view) => (view.state.closed ? <JobRecord view={view} /> : <Closing view={view} />)}</JobFrame>;

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
const closingSteps = (pack: Pack, { reached }: JobState) => pack.closing.filter(({ closes }) => closes === undefined || reached.includes(closes));

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
      {fitted ? null : <Button look="primary" big label="It is fitted" testID="fitted" onPress={() => void write({ kind: 'partFitted', gear: part, partId: chosen.partId, partNumber: chosen.partNumber })} />}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Card>
  );
}

function WayBack({ view, steps }: { view: JobView; steps: Pack['closing'] }) {
  return (
    <>
      <Text look="head">The way back</Text>
      {steps.map((step) => (
        <BackStep key={step.id} view={view} step={step} />
      ))}
    </>
  );
}

function BackStep({ view: { job, state, pack }, step }: { view: JobView; step: Pack['closing'][number] }) {
  const { write, problem } = useRecord(job.id);
  const done = state.closingDone.includes(step.id);
  const cautions = cautionsOn(pack, step.cautions, []);
  const blocked = useUnacknowledged(state, cautions).length > 0;
  if (done) return <Button label={`Done: ${step.name}`} look="chosen" disabled onPress={() => undefined} />;
  return (
    <Card>
      <View className="flex-row items-baseline justify-between gap-3">
        <Text look="strong" className="flex-1">
          {step.name}
        </Text>
        <Text look="label">{minutesText(step.minutes)}</Text>
      </View>
      <Text>{step.how}</Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      <Button disabled={blocked} label={`Done: ${step.name}`} testID={`back-${step.id}`} onPress={() => void write({ kind: 'closingDone', step: step.id })} />
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
              <Button className="flex-1" disabled={blocked} label="It does" testID={`passed-${proof.id}`} look={result?.passed ? 'chosen' : 'plain'} checked={result?.passed === true} onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: true })} />
              <Button className="flex-1" disabled={blocked} label="It does not" look={result?.passed === false ? 'danger' : 'plain'} checked={result?.passed === false} onPress={() => void write({ kind: 'proofDone', proof: proof.id, passed: false })} />
            </View>
            {result?.passed === false ? <Text>Then it is not over: go back to Trace. What was seen is still there, and the decision can be taken back in the log.</Text> : null}
          </Card>
        );
      })}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </>
  );
}
