import type { Facts, Pack } from '@patient-badger/core';
import type { Machine, MachineDraft } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { newJobId, record } from '../data/outbox.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../design/Screen.tsx';
import { Text } from '../design/Text.tsx';

/** What the owner says, and what is known of the machine that makes some faults more likely. */
export function Complaint({ machine, pack, onOther }: { machine: Machine | MachineDraft; pack: Pack; onOther: () => void }) {
  const router = useRouter();
  const [complaint, setComplaint] = useState('');
  const [facts, setFacts] = useState<Facts>(machine.facts);
  const [problem, setProblem] = useState<string | null>(null);

  const start = async () => {
    if (complaint.trim() === '') return setProblem('Write what the owner says, or press one of the sentences.');
    const jobId = newJobId();
    try {
      await record(jobId, { kind: 'takenIn', machineId: machine.id, family: pack.id, complaint: complaint.trim(), facts });
      router.navigate(`/jobs/${jobId}`);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };

  return (
    <Screen
      title={machine.label}
      under={pack.name}
      back="/"
      foot={
        <>
          {problem ? <Text look="danger">{problem}</Text> : null}
          <Button look="primary" big label="Start the job" testID="start-job" onPress={() => void start()} />
        </>
      }
    >
      <Field label="What does the owner say?" value={complaint} onChangeText={setComplaint} multiline numberOfLines={3} />
      <View className="flex-row flex-wrap gap-2">
        {pack.complaints.map((each) => (
          <Button
            key={each}
            className="max-w-full"
            label={each}
            look={complaint === each ? 'chosen' : 'plain'}
            onPress={() => setComplaint(each)}
          />
        ))}
      </View>
      <Card>
        <Text look="head">What is known of it</Text>
        <Text look="soft">Leave out what you do not know.</Text>
        {pack.questions.map((question) => (
          <Question key={question.fact} question={question} facts={facts} onChange={setFacts} />
        ))}
      </Card>
      <Button look="quiet" label="Another machine" onPress={onOther} />
    </Screen>
  );
}

interface QuestionProps {
  readonly question: Pack['questions'][number];
  readonly facts: Facts;
  readonly onChange: (facts: Facts) => void;
}

function Question({ question: { fact, ask, kind, choices }, facts, onChange }: QuestionProps) {
  const value = facts[fact];
  const put = (next: Facts[string] | undefined) => {
    const { [fact]: _, ...rest } = facts;
    onChange(next === undefined ? rest : { ...rest, [fact]: next });
  };
  if (kind === 'number') return <NumberQuestion ask={ask} value={typeof value === 'number' ? value : undefined} put={put} />;
  const options =
    kind === 'yesNo'
      ? [
          { is: true, name: 'Yes' },
          { is: false, name: 'No' },
        ]
      : choices;
  return (
    <View role="radiogroup" aria-label={ask} className="gap-1">
      <Text look="label" className="text-ink">
        {ask}
      </Text>
      <View className="flex-row gap-2">
        {options.map(({ is, name }) => (
          <Button
            key={name}
            className="flex-1"
            label={name}
            look={value === is ? 'chosen' : 'plain'}
            checked={value === is}
            onPress={() => put(value === is ? undefined : is)}
          />
        ))}
      </View>
    </View>
  );
}

function NumberQuestion({ ask, value, put }: { ask: string; value: number | undefined; put: (next: number | undefined) => void }) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const read = Number(text.replace(',', '.'));
  const wrong = text.trim() !== '' && !(Number.isFinite(read) && read >= 0);
  return (
    <Field
      label={ask}
      inputMode="decimal"
      value={text}
      problem={wrong ? 'Give a number, or leave it empty.' : undefined}
      onChangeText={(next) => {
        setText(next);
        const number = Number(next.replace(',', '.'));
        put(next.trim() === '' || !Number.isFinite(number) || number < 0 ? undefined : number);
      }}
    />
  );
}
