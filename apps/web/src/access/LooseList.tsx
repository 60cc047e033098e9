import type { LedgerLine, LooseNote, Step } from '@patient-badger/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { lineText, looseText, tightText } from './looseText.ts';

const NOTES: readonly (readonly [LooseNote, string])[] = [
  ['missingBefore', 'One was missing before'],
  ['broken', 'One is broken'],
  ['lost', 'One is lost'],
  ['replaced', 'One replaced'],
];

interface Props {
  readonly jobId: string;
  readonly step: Pick<Step, 'id' | 'loose'>;
  /** How each stands, once the step is done. */
  readonly ledger: readonly LedgerLine[];
}

/** What comes off with a step, where it lives, and what is not as it should be with it. */
export function LooseList({ jobId, step, ledger }: Props) {
  if (step.loose.length === 0) return null;
  return (
    <View className="gap-2">
      {step.loose.map((item) => (
        <LooseRow
          key={item.id}
          jobId={jobId}
          step={step.id}
          item={item}
          line={ledger.find((each) => each.step === step.id && each.item.id === item.id)}
        />
      ))}
    </View>
  );
}

function LooseRow({ jobId, step, item, line }: { jobId: string; step: string; item: Step['loose'][number]; line: LedgerLine | undefined }) {
  const { write, problem } = useRecord(jobId);
  const [open, setOpen] = useState(false);
  const tight = tightText(item);
  return (
    <View className="border-l-4 border-line pl-3">
      <Text look="strong">{looseText(item)}</Text>
      <Text look="soft">
        {item.lives}
        {tight ? `; ${tight}` : ''}
      </Text>
      {line ? <Text look="soft">{lineText(line)}</Text> : null}
      <Button
        look="quiet"
        label={open ? 'As it should be' : 'Not as it should be'}
        testID={`odd-${item.id}`}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <View className="flex-row flex-wrap gap-2">
          {NOTES.map(([what, label]) => (
            <Button
              key={what}
              label={label}
              testID={`note-${item.id}-${what}`}
              onPress={() => {
                void write({ kind: 'looseNoted', step, item: item.id, what, count: 1 });
                setOpen(false);
              }}
            />
          ))}
        </View>
      ) : null}
      {problem ? <Text look="danger">{problem}</Text> : null}
    </View>
  );
}
