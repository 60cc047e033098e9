import { t } from '@patient-badger/wording/trace';
import { toSetRight } from '@patient-badger/core/job';
import { gearsOfFault, NONE_OF_THESE, usualRemedy, type Fault } from '@patient-badger/core/machine';
import type { OptionKind, Remedy } from '@patient-badger/core/parts';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { type JobView } from '../job/JobView.ts';
import { leftAtThat } from './leftAtThat.ts';

/** Found for sure, and perhaps not alone: debris of one gear is the next one's trouble. */
export function GoOn({ view: { job }, fault, probability }: { view: JobView; fault: Fault; probability: number }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const found = async () => {
    if (await write({ kind: 'faultFound', fault: fault.id, probability })) router.navigate(`/jobs/${job.id}`);
  };
  return (
    <>
      <Button label={t.itIsThatAndI} detail={t.keepsThisOneOnRecord} testID="go-on" onPress={() => void found()} />
      <Problem text={problem} />
    </>
  );
}

/** The tracing went on after a find, and nothing else came up. */
export function NothingElse({ view }: { view: JobView }) {
  const faults = toSetRight(view.pack, view.state);
  const probability = view.trace.nothingElseProbability ?? 0;
  const left = leftAtThat(view);
  const [first] = faults;
  return (
    <>
      <Text variant="label">{left?.label}</Text>
      <Text variant="title">{left?.head}</Text>
      <Text>{left?.text}</Text>
      {view.pack.safetyCritical ? <Text variant="danger">{t.theListHoldsTheGear}</Text> : null}
      <Card tone="next">
        {faults.map((fault) => (
          <View key={fault.id} className="gap-1">
            <Text variant="head">{fault.name}</Text>
            <Text>{usualRemedy(view.pack, fault)?.name}</Text>
          </View>
        ))}
        {first ? <Accept view={view} fault={first} probability={probability} main /> : null}
      </Card>
    </>
  );
}

/** What it was, in the mechanic's own words, where the list did not know it. */
export function NotListed({ view: { job, trace } }: { view: JobView }) {
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
      <Field label={t.whatWasIt} value={words} onChangeText={setWords} />
      <Button label={t.decideForThat} disabled={words.trim() === ''} testID="decide-other" onPress={() => void decide()} />
      <Problem text={problem} />
    </>
  );
}

export function Accept({
  view: { job, pack },
  fault,
  besides = [],
  probability,
  main = false,
  here = false,
}: {
  view: JobView;
  fault: Fault;
  /** Others that are there beyond doubt; they are kept as found. */
  besides?: readonly Fault[];
  probability: number;
  main?: boolean | undefined;
  /** On the card of the tracing, before the reasons are looked at. */
  here?: boolean | undefined;
}) {
  const router = useRouter();
  const { writeAll, problem } = useRecord(job.id);
  const [part] = [fault, ...besides].flatMap((each) => gearsOfFault(pack, each));
  const usual = usualRemedy(pack, fault);
  const accept = async () => {
    const found = besides.map(({ id }) => ({ kind: 'faultFound', fault: id, probability }) as const);
    if (!(await writeAll([...found, { kind: 'decided', fault: fault.id, remedy: usual?.kind ?? 'stop', probability }]))) return;
    router.navigate(`/jobs/${job.id}${part ? `/gear/${part}` : '/close'}`);
  };
  return (
    <>
      <Button
        variant={main ? 'primary' : variantOf(here)}
        big={main}
        label={
          main || here
            ? t.decide(besides.length > 0 ? t.both : '', part && usual?.kind === 'replace' ? t.measureAndReplace : verbOf(usual))
            : t.decideForThisOne
        }
        testID={main ? 'decide' : idOf(here)}
        onPress={() => void accept()}
      />
      <Problem text={problem} />
    </>
  );
}

const idOf = (here: boolean) => (here ? 'decide-here' : undefined);
const variantOf = (here: boolean) => (here ? 'plain' : 'quiet');

const verbOf = ({ kind, parts }: Pick<Remedy, 'kind' | 'parts'> = { kind: 'stop', parts: [] }): string =>
  parts.length === 0 && BUYS_NOTHING.includes(kind) ? t.buyingNothing(VERB[kind]) : VERB[kind];

/** Kinds of which that is worth a word: the gear is innocent. */
const BUYS_NOTHING: readonly OptionKind[] = ['clean', 'adjust'];

const VERB: Readonly<Record<OptionKind, string>> = {
  clean: t.cleanIt,
  adjust: t.adjustIt,
  save: t.saveIt,
  repair: t.repairIt,
  replace: t.replaceIt,
  upgrade: t.replaceIt,
  overhauledUnit: t.fitAWholeOne,
  wholeAssembly: t.fitAWholeOne,
  donor: t.fitAUsedOne,
  make: t.makeOne,
  bypass: t.goOnWithoutIt,
  scrap: t.scrapIt,
  stop: t.stopHere,
};
