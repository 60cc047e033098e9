import { t } from '@patient-badger/wording/access';
import type { Step } from '@patient-badger/core/machine';
import { snagsFor } from '@patient-badger/knowledge';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';

/** What is in the way, and the usual remedies with their risk, mildest first; those that would harm what is near are marked. */
export function Snags({ jobId, step, known }: { jobId: string; step: Step; known: string | undefined }) {
  const { write, problem } = useRecord(jobId);
  const [open, setOpen] = useState(known);
  const plastic = step.loose.some(({ intoPlastic }) => intoPlastic);
  return (
    <View className="gap-2">
      <Text variant="label">{t.whatIsInTheWay}</Text>
      {snagsFor(step.loose.map(({ kind }) => kind)).map(({ id, name, remedies }) => (
        <View key={id} className="gap-2">
          <Button
            label={name}
            variant={open === id ? 'chosen' : 'plain'}
            testID={`snag-${id}`}
            onPress={() => {
              setOpen(id);
              if (known !== id) void write({ kind: 'stepStuck', step: step.id, snag: id });
            }}
          />
          {open === id
            ? remedies.map((remedy) => (
                <View key={remedy.name} className="border-l-4 border-line pl-3">
                  <Text variant="strong">
                    {remedy.name}, {minutesText(remedy.minutes)}
                  </Text>
                  <Text>{remedy.how}</Text>
                  <Text variant="soft">{t.risk(remedy.risk)}</Text>
                  {remedy.notNear.length > 0 ? (
                    <Text variant={plastic && remedy.notNear.includes('plastic') ? 'danger' : 'soft'}>
                      {t.notNear(remedy.notNear.join(', '))}
                    </Text>
                  ) : null}
                </View>
              ))
            : null}
        </View>
      ))}
      <Problem text={problem} />
    </View>
  );
}
