import { NONE_OF_THESE, NOTHING_ELSE, toSetRight, type Fault, type TraceOutput } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { bitsText, minutesText, percent } from '../wording/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { resultName } from '../wording/resultName.ts';

/** Who did it, why we think so, and what to do about it. The mechanic decides; the app gives reasons. */
export const VerdictScreen = () => (
  <JobFrame stage="trace" back={(id) => `/jobs/${id}`}>
    {(view) => <Verdict view={view} />}
  </JobFrame>
);

function Verdict({ view }: { view: JobView }) {
  const { pack, state, trace } = view;
  if (trace.verdict?.fault === NOTHING_ELSE) return <NothingElse view={view} />;
  const [first, ...others] = trace.suspects;
  const fault = pack.faults.find(({ id }) => id === first?.fault);
  if (!first || !fault) return null;
  return (
    <>
      <Text variant="label">{trace.verdict ? 'Verdict' : 'Not sure yet: most likely'}</Text>
      <Text variant="title">{fault.name}</Text>
      <Meter chance={first.probability} />
      <Text>{fault.tell}</Text>
      <Card tone="next">
        <Text variant="head">{fault.remedy.part ? 'A part is needed' : 'No gear to buy'}</Text>
        <Text>{fault.remedy.text}</Text>
        <Text variant="soft">About {minutesText(fault.remedy.minutes)} of work.</Text>
        <Accept view={view} fault={fault} probability={first.probability} main />
        {state.decided ? null : <GoOn view={view} fault={fault} probability={first.probability} />}
      </Card>
      <Text variant="head">Why</Text>
      <Reasons view={view} suspect={first} />
      <Text variant="head">It could still be</Text>
      <View className="gap-3">
        {others.slice(0, 5).map((each) => {
          const other = pack.faults.find(({ id }) => id === each.fault);
          return other ? (
            <Card key={each.fault}>
              <Text variant="strong">{each.name}</Text>
              <Meter chance={each.probability} />
              <Text variant="soft">{other.remedy.text}</Text>
              <Accept view={view} fault={other} probability={each.probability} />
            </Card>
          ) : null;
        })}
        <Card tone="sunken">
          <Text variant="strong">Something that is not on the list</Text>
          <Meter chance={trace.noneOfTheseProbability} />
          <NotListed view={view} />
        </Card>
      </View>
    </>
  );
}

/** Found for sure, and perhaps not alone: debris of one gear is the next one's trouble. */
function GoOn({ view: { job }, fault, probability }: { view: JobView; fault: Fault; probability: number }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const found = async () => {
    if (await write({ kind: 'faultFound', fault: fault.id, probability })) router.navigate(`/jobs/${job.id}`);
  };
  return (
    <>
      <Button
        label="It is that, and I look for a second fault"
        detail="Keeps this one on record and goes on tracing with it in the chain."
        testID="go-on"
        onPress={() => void found()}
      />
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </>
  );
}

/** The tracing went on after a find, and nothing else came up. */
function NothingElse({ view }: { view: JobView }) {
  const faults = toSetRight(view.pack, view.state);
  const [first] = faults;
  return (
    <>
      <Text variant="label">Verdict, {percent(view.trace.verdict?.probability ?? 0)} sure</Text>
      <Text variant="title">Nothing else is wrong</Text>
      <Text>What was found is all there is, as far as the looks tell.</Text>
      <Card tone="next">
        {faults.map(({ id, name, remedy }) => (
          <View key={id} className="gap-1">
            <Text variant="head">{name}</Text>
            <Text>{remedy.text}</Text>
          </View>
        ))}
        {first ? <Accept view={view} fault={first} probability={view.trace.verdict?.probability ?? 0} main /> : null}
      </Card>
    </>
  );
}

/** What it was, in the mechanic's own words, where the list did not know it. */
function NotListed({ view: { job, trace } }: { view: JobView }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [words, setWords] = useState('');
  const decide = async () => {
    const note = words.trim();
    const probability = trace.noneOfTheseProbability;
    if (note && (await write({ kind: 'decided', fault: NONE_OF_THESE, remedy: 'other', probability, note })))
      router.navigate(`/jobs/${job.id}/close`);
  };
  return (
    <>
      <Field label="What was it?" value={words} onChangeText={setWords} />
      <Button label="Decide for that" disabled={words.trim() === ''} testID="decide-other" onPress={() => void decide()} />
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </>
  );
}

function Accept({
  view: { job },
  fault,
  probability,
  main = false,
}: {
  view: JobView;
  fault: Fault;
  probability: number;
  main?: boolean | undefined;
}) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const accept = async () => {
    if (!(await write({ kind: 'decided', fault: fault.id, remedy: fault.remedy.kind, probability }))) return;
    router.navigate(`/jobs/${job.id}${fault.remedy.part ? `/gear/${fault.remedy.part}` : '/close'}`);
  };
  return (
    <>
      <Button
        variant={main ? 'primary' : 'quiet'}
        big={main}
        label={main ? `Decide: ${fault.remedy.part ? 'measure and replace' : VERB[fault.remedy.kind]}` : 'Decide for this one'}
        testID={main ? 'decide' : undefined}
        onPress={() => void accept()}
      />
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </>
  );
}

const VERB: Record<Fault['remedy']['kind'], string> = {
  clean: 'clean it, buy nothing',
  refill: 'fill up, buy nothing',
  adjust: 'adjust it, buy nothing',
  reseal: 'renew the seal',
  free: 'free it',
  replace: 'replace it',
};

function Reasons({ view: { pack }, suspect }: { view: JobView; suspect: TraceOutput['suspects'][number] }) {
  if (suspect.because.length === 0) {
    return (
      <Text variant="soft">
        Nothing was seen yet that speaks for or against it: {percent(suspect.prior)} from the start, by how often it happens.
      </Text>
    );
  }
  return (
    <View className="gap-2">
      <Text variant="soft">{percent(suspect.prior)} at the start, by how often it happens on such a machine.</Text>
      {suspect.because.map(({ look, result, bits }) => (
        <View key={look} className="border-l-4 border-line pl-3">
          <Text>
            {pack.looks.find(({ id }) => id === look)?.name}: {resultName(pack, look, result)}
          </Text>
          <Text variant="soft">
            {bitsText(bits)} ({bits > 0 ? '+' : '−'}
            {Math.abs(bits).toFixed(1)} bits)
          </Text>
        </View>
      ))}
    </View>
  );
}
