import { t } from '@patient-badger/wording/access';
import type { LedgerLine, LooseNote, Step } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { lineText, looseText, tightText } from './looseText.ts';

const NOTES: readonly (readonly [LooseNote, string])[] = [
  ['missingBefore', t.oneWasMissingBefore],
  ['broken', t.oneIsBroken],
  ['lost', t.oneIsLost],
  ['replaced', t.oneReplaced],
];

interface Props {
  readonly jobId: string;
  readonly step: Pick<Step, 'id' | 'loose'>;
  /** How each stands, once the step is done. */
  readonly ledger: readonly LedgerLine[];
}

/** What comes off with a step, where it lives, and, on a press, what is not as it should be with it. */
export function LooseList({ jobId, step, ledger }: Props) {
  const { write, problem } = useRecord(jobId);
  const [noting, setNoting] = useState(false);
  if (step.loose.length === 0) return null;
  const note = (item: string, what: LooseNote) => {
    void write({ kind: 'looseNoted', step: step.id, item, what, count: 1 });
    setNoting(false);
  };
  return (
    <View className="gap-2">
      {step.loose.map((item) => {
        const line = ledger.find((each) => each.step === step.id && each.item.id === item.id);
        const tight = tightText(item);
        return (
          <View key={item.id} className="border-l-4 border-line pl-3">
            <Text variant="strong">{looseText(item)}</Text>
            <Text variant="soft">
              {item.lives}
              {tight ? `; ${tight}` : ''}
            </Text>
            {line ? <Text variant="soft">{lineText(line)}</Text> : null}
            {noting ? (
              <View className="mt-1 flex-row flex-wrap gap-2">
                {NOTES.map(([what, label]) => (
                  <Button key={what} label={label} testID={`note-${item.id}-${what}`} onPress={() => note(item.id, what)} />
                ))}
              </View>
            ) : null}
          </View>
        );
      })}
      <Button
        variant="quiet"
        label={noting ? t.allAsItShouldBe : t.somethingIsNotAsIt}
        testID={`odd-${step.id}`}
        onPress={() => setNoting(!noting)}
      />
      <Problem text={problem} />
    </View>
  );
}
