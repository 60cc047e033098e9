import { stepsTogether } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/access';
import type { Step } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import type { JobView } from '../job/JobView.ts';
import { useStepGate } from './useGate.ts';
import { useWide } from '../design/useMedia.ts';

interface Props {
  readonly view: JobView;
  readonly step: Step;
  /** Steps that come after it, in their order. */
  readonly later: readonly Step[];
  readonly stuck: boolean;
  readonly onStuck: (stuck: boolean) => void;
}

/** Done, or will not come: at the thumb, and on space and x. Passing it over stands with the step itself. */
export function StepButtons({ view, step, later, stuck, onStuck }: Props) {
  const { write, writeAll, problem } = useRecord(view.job.id);
  const { reasons } = useStepGate(view, step);
  const wide = useWide();
  const blocked = reasons.length > 0;
  const done = () => void write({ kind: 'stepDone', step: step.id });
  const row = stepsTogether(view.pack, [step, ...later], view.state);
  const together =
    row.length > 1 ? (
      <Button
        disabled={blocked}
        className={wide ? 'flex-1' : ''}
        label={t.doneUpTo(row.length, row.at(-1)?.name ?? '')}
        testID="steps-done"
        onPress={() => void writeAll(row.map(({ id }) => ({ kind: 'stepDone' as const, step: id })))}
      />
    ) : null;
  useKeys({ ' ': blocked ? undefined : done, x: () => onStuck(!stuck) });
  return (
    <View className="gap-2">
      {reasons[0] ? <Text variant="soft">{reasons[0]}</Text> : null}
      <View className="flex-row items-stretch gap-2">
        <Button variant="primary" disabled={blocked} className="flex-[2]" label={t.done(step.name)} testID="step-done" onPress={done} />
        {wide ? together : null}
        <Button
          className="flex-1"
          label={stuck ? t.itComesAfterAll : t.itWillNotCome}
          testID="step-stuck"
          onPress={() => onStuck(!stuck)}
        />
      </View>
      {wide ? null : together}
      <Problem text={problem} />
    </View>
  );
}
