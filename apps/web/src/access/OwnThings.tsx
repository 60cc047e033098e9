import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import { MOST_STEPS, openSteps } from '@patient-badger/core/job';
import type { LooseKind } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import type { JobView } from '../job/JobView.ts';

const KINDS = [
  ['screw', t.screw],
  ['clip', t.clip],
  ['washer', t.washer],
  ['spring', t.spring],
  ['part', t.other],
] as const satisfies readonly (readonly [LooseKind, string])[];

type Adding = 'loose' | 'capture' | 'step' | null;

/** What this machine has and its family does not know of: a loose part or a position of a step, and a step of its own. */
export function OwnThings({ view, step }: { view: JobView; step: string | undefined }) {
  const [adding, setAdding] = useState<Adding>(null);
  const done = () => setAdding(null);
  const { job, pack } = view;
  if (adding === 'loose' && step) return <OwnLoose jobId={job.id} step={step} onDone={done} />;
  if (adding === 'capture' && step) return <OwnCapture jobId={job.id} step={step} onDone={done} />;
  if (adding === 'step') return <OwnStep jobId={job.id} onDone={done} />;
  return (
    <>
      <OwnStepsToDo view={view} />
      <View className="flex-row flex-wrap gap-2">
        {step ? <Button label={t.somethingElseComesOff} testID="own-loose" onPress={() => setAdding('loose')} /> : null}
        {step ? <Button label={t.anotherPositionToKeep} testID="own-capture" onPress={() => setAdding('capture')} /> : null}
        {pack.steps.length < MOST_STEPS ? <Button label={t.aStepThatIsNot} testID="own-step" onPress={() => setAdding('step')} /> : null}
      </View>
    </>
  );
}

/** Own steps that were written down and are not done: no plan leads to them, so they stand by themselves. */
function OwnStepsToDo({ view: { job, pack, state } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const open = openSteps(pack, state);
  const waiting = state.own.steps.filter(({ id }) => !open.includes(id));
  return (
    <>
      {waiting.map(({ id, name, how }) => (
        <Card key={id}>
          <Text variant="strong">{name}</Text>
          <Text>{how}</Text>
          <Button label={shared.itIsDone} testID="own-step-done" onPress={() => void write({ kind: 'stepDone', step: id })} />
        </Card>
      ))}
      <Problem text={problem} />
    </>
  );
}

interface FormProps {
  readonly jobId: string;
  readonly onDone: () => void;
}

function OwnLoose({ jobId, step, onDone }: FormProps & { step: string }) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState({ name: '', count: '1', lives: '' });
  const [part, setPart] = useState<LooseKind>('screw');
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const count = typedNumber(typed.count);
    const [name, lives] = [typed.name.trim(), typed.lives.trim()];
    if (!name || !lives) return setWrong(t.sayWhatItIsAnd);
    if (!Number.isInteger(count) || count < 1 || count > 99) return setWrong(t.howManyAWholeNumber);
    if (await write({ kind: 'ownLooseAdded', step, name, part, count, lives })) onDone();
  };
  return (
    <Frame head={t.somethingElseComesOff} problem={wrong ?? problem} onKeep={() => void keep()} onDone={onDone}>
      <Field label={shared.whatItIs} value={typed.name} onChangeText={(name) => setTyped({ ...typed, name })} testID="own-name" />
      <Segments label={shared.kind} options={KINDS} value={part as (typeof KINDS)[number][0]} onChange={setPart} />
      <Field label={shared.howMany} inputMode="numeric" value={typed.count} onChangeText={(count) => setTyped({ ...typed, count })} />
      <Field label={t.whereItSits} value={typed.lives} onChangeText={(lives) => setTyped({ ...typed, lives })} testID="own-lives" />
    </Frame>
  );
}

function OwnCapture({ jobId, step, onDone }: FormProps & { step: string }) {
  const { write, problem } = useRecord(jobId);
  const [ask, setAsk] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const words = ask.trim();
    if (!words) return setWrong(t.sayWhatIsToBe);
    if (await write({ kind: 'ownCaptureAdded', step, ask: words, back: t.backAsItWas(words) })) onDone();
  };
  return (
    <Frame head={t.anotherPositionToKeep} problem={wrong ?? problem} onKeep={() => void keep()} onDone={onDone}>
      <Field label={t.whatIsLostWithThis} value={ask} onChangeText={setAsk} maxLength={120} testID="own-ask" />
    </Frame>
  );
}

function OwnStep({ jobId, onDone }: FormProps) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState({ name: '', how: '', minutes: '5' });
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const minutes = typedNumber(typed.minutes);
    const [name, how] = [typed.name.trim(), typed.how.trim()];
    if (!name) return setWrong(t.giveTheStepAName);
    if (!(minutes >= 0 && minutes <= 600)) return setWrong(t.minutesAsOneNumberUp);
    if (await write({ kind: 'ownStepAdded', name, how: how || name, minutes })) onDone();
  };
  return (
    <Frame head={t.aStepThatIsNot} problem={wrong ?? problem} onKeep={() => void keep()} onDone={onDone}>
      <Field label={t.theStep} value={typed.name} onChangeText={(name) => setTyped({ ...typed, name })} testID="own-name" />
      <Field label={t.howMayStayEmpty} value={typed.how} onChangeText={(how) => setTyped({ ...typed, how })} />
      <Field label={shared.minutes} inputMode="decimal" value={typed.minutes} onChangeText={(minutes) => setTyped({ ...typed, minutes })} />
    </Frame>
  );
}

interface FrameProps {
  readonly head: string;
  readonly problem: string | null;
  readonly onKeep: () => void;
  readonly onDone: () => void;
  readonly children: React.ReactNode;
}

const Frame = ({ head, problem, onKeep, onDone, children }: FrameProps) => (
  <Card tone="next">
    <Text variant="head">{head}</Text>
    {children}
    <Problem text={problem} />
    <FormFoot label={shared.writeItDown} testID="own-keep" onKeep={onKeep} onClose={onDone} />
  </Card>
);
