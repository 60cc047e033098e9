import { cautionsOn, type Step } from '@patient-badger/core';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../design/words.ts';
import type { JobView } from '../job/JobFrame.tsx';
import { Cautions, useUnacknowledged } from './Cautions.tsx';

/** What has to come off before the look, one step at a time, with its cautions where they belong. */
export function OpeningSteps({ view: { job, pack, state }, steps }: { view: JobView; steps: readonly Step[] }) {
  const { write, problem } = useRecord(job.id);
  const [step, ...later] = steps;
  const cautions = step ? cautionsOn(pack, step.cautions, []) : [];
  const blocked = useUnacknowledged(state, cautions).length > 0;
  if (!step) return null;
  return (
    <View className="gap-3">
      <Text look="head">
        Open up first: {steps.length} {steps.length === 1 ? 'step' : 'steps'},{' '}
        {minutesText(steps.reduce((sum, { minutes }) => sum + minutes, 0))}
      </Text>
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      <Card tone="next">
        <View className="flex-row items-baseline justify-between gap-3">
          <Text look="head" className="flex-1">
            {step.name}
          </Text>
          <Text look="label">{minutesText(step.minutes)}</Text>
        </View>
        <Text>{step.how}</Text>
        {step.tools.length > 0 ? <Text look="soft">Lay out: {step.tools.join(', ')}</Text> : null}
        <Button
          look="primary"
          big
          disabled={blocked}
          label={`Done: ${step.name}`}
          testID="step-done"
          onPress={() => void write({ kind: 'stepDone', step: step.id })}
        />
      </Card>
      {problem ? <Text look="danger">{problem}</Text> : null}
      {later.length > 0 ? <Text look="soft">Then: {later.map(({ name }) => name).join(' → ')}</Text> : null}
    </View>
  );
}
