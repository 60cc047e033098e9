import { cautionsOn, type EntryPayload, type JobState, type Pack } from '@patient-badger/core';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { minutesText } from '../design/words.ts';
import { Cautions, useUnacknowledged } from '../trace/Cautions.tsx';

interface Props {
  readonly jobId: string;
  readonly state: JobState;
  readonly pack: Pack;
  readonly step: {
    readonly name: string;
    readonly how: string;
    readonly minutes: number;
    readonly cautions: readonly string[];
    readonly tools?: readonly string[];
  };
  /** What is written down when it is done. */
  readonly entry: EntryPayload;
  readonly testID: string;
}

/** One step of opening or closing: what to do, what can hurt, and one button for done. */
export function StepCard({ jobId, state, pack, step, entry, testID }: Props) {
  const { write, problem } = useRecord(jobId);
  const cautions = cautionsOn(pack, step.cautions, []);
  const blocked = useUnacknowledged(state, cautions).length > 0;
  useKeys({ ' ': blocked ? undefined : () => void write(entry) });
  return (
    <Card tone="next">
      <View className="flex-row items-baseline justify-between gap-3">
        <Text look="head" className="flex-1">
          {step.name}
        </Text>
        <Text look="label">{minutesText(step.minutes)}</Text>
      </View>
      <Text>{step.how}</Text>
      {step.tools?.length ? <Text look="soft">Lay out: {step.tools.join(', ')}</Text> : null}
      <Cautions jobId={jobId} state={state} cautions={cautions} />
      <Button look="primary" big disabled={blocked} label={`Done: ${step.name}`} testID={testID} onPress={() => void write(entry)} />
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Card>
  );
}
