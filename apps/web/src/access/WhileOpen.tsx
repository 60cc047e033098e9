import { t } from '@patient-badger/wording/access';
import { openSteps } from '@patient-badger/core/job';
import { inReach } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';
import { type JobView } from '../job/JobView.ts';

/** What is worth doing since it lies open already, each with its own minutes. */
export function WhileOpen({ view: { job, pack, state } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const list = inReach(pack, openSteps(pack, state));
  if (list.length === 0) return null;
  return (
    <View className="gap-2">
      <Text variant="head">{t.whileItIsOpen}</Text>
      {list.map(({ id, name, minutes, why }) => {
        const done = state.extras.includes(id);
        return (
          <Button
            key={id}
            label={done ? t.done(name) : name}
            detail={`${minutesText(minutes)}; ${why}`}
            variant={done ? 'chosen' : 'plain'}
            disabled={done}
            testID={`extra-${id}`}
            onPress={() => void write({ kind: 'extraDone', extra: id })}
          />
        );
      })}
      <Problem text={problem} />
    </View>
  );
}
