import type { Fault, TraceOutput } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { bitsText, minutesText, percent } from '../design/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { resultName } from './Trail.tsx';

/** Who did it, why we think so, and what to do about it. The mechanic decides; the app gives reasons. */
export const VerdictScreen = () => (
  <JobFrame stage="trace" back={(id) => `/jobs/${id}`}>
    {(view) => <Verdict view={view} />}
  </JobFrame>
);

function Verdict({ view }: { view: JobView }) {
  const { pack, trace } = view;
  const [first, ...others] = trace.suspects;
  const fault = pack.faults.find(({ id }) => id === first?.fault);
  if (!first || !fault) return null;
  return (
    <>
      <Text look="label">{trace.verdict ? 'Verdict' : 'Not sure yet: most likely'}</Text>
      <Text look="title">{fault.name}</Text>
      <Meter chance={first.probability} />
      <Text>{fault.tell}</Text>
      <Card tone="next">
        <Text look="head">{fault.remedy.part ? 'A part is needed' : 'No gear to buy'}</Text>
        <Text>{fault.remedy.text}</Text>
        <Text look="soft">About {minutesText(fault.remedy.minutes)} of work.</Text>
        <Accept view={view} fault={fault} probability={first.probability} main />
      </Card>
      <Text look="head">Why</Text>
      <Reasons view={view} suspect={first} />
      <Text look="head">It could still be</Text>
      <View className="gap-3">
        {others.slice(0, 5).map((each) => {
          const other = pack.faults.find(({ id }) => id === each.fault);
          return other ? (
            <Card key={each.fault}>
              <Text look="strong">{each.name}</Text>
              <Meter chance={each.probability} />
              <Text look="soft">{other.remedy.text}</Text>
              <Accept view={view} fault={other} probability={each.probability} />
            </Card>
          ) : null;
        })}
        <Card tone="sunken">
          <Text look="strong">Something that is not on the list</Text>
          <Meter chance={trace.noneOfTheseProbability} />
        </Card>
      </View>
    </>
  );
}

function Accept({ view: { job }, fault, probability, main = false }: { view: JobView; fault: Fault; probability: number; main?: boolean }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const accept = async () => {
    if (!(await write({ kind: 'decided', fault: fault.id, remedy: fault.remedy.kind, probability }))) return;
    router.navigate(`/jobs/${job.id}${fault.remedy.part ? `/gear/${fault.remedy.part}` : '/close'}`);
  };
  return (
    <>
      <Button
        look={main ? 'primary' : 'quiet'}
        big={main}
        label={main ? `Decide: ${fault.remedy.part ? 'measure and replace' : VERB[fault.remedy.kind]}` : 'Decide for this one'}
        testID={main ? 'decide' : undefined}
        onPress={() => void accept()}
      />
      {problem ? <Text look="danger">{problem}</Text> : null}
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
      <Text look="soft">
        Nothing was seen yet that speaks for or against it: {percent(suspect.prior)} from the start, by how often it happens.
      </Text>
    );
  }
  return (
    <View className="gap-2">
      <Text look="soft">{percent(suspect.prior)} at the start, by how often it happens on such a machine.</Text>
      {suspect.because.map(({ look, result, bits }) => (
        <View key={look} className="border-l-4 border-line pl-3">
          <Text>
            {pack.looks.find(({ id }) => id === look)?.name}: {resultName(pack, look, result)}
          </Text>
          <Text look="soft">
            {bitsText(bits)} ({bits > 0 ? '+' : '−'}
            {Math.abs(bits).toFixed(1)} bits)
          </Text>
        </View>
      ))}
    </View>
  );
}
