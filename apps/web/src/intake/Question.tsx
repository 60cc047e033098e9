import { t } from '@patient-badger/wording/intake';
import type { Facts, Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';

export interface QuestionProps {
  readonly question: Pack['questions'][number];
  readonly facts: Facts;
  readonly onChange: (facts: Facts) => void;
}

export function Question({ question: { fact, ask, kind, choices }, facts, onChange }: QuestionProps) {
  const value = facts[fact];
  const put = (next: Facts[string] | undefined) => {
    const { [fact]: _, ...rest } = facts;
    onChange(next === undefined ? rest : { ...rest, [fact]: next });
  };
  if (kind === 'number') return <NumberQuestion ask={ask} value={typeof value === 'number' ? value : undefined} put={put} />;
  const options =
    kind === 'yesNo'
      ? [
          { is: true, name: t.yes },
          { is: false, name: t.no },
        ]
      : choices;
  return (
    <View role="radiogroup" aria-label={ask} className="gap-1">
      <Text variant="label" className="text-ink">
        {ask}
      </Text>
      <View className="flex-row gap-2">
        {options.map(({ is, name }) => (
          <Button
            key={name}
            className="flex-1"
            label={name}
            variant={value === is ? 'chosen' : 'plain'}
            checked={value === is}
            onPress={() => put(value === is ? undefined : is)}
          />
        ))}
      </View>
    </View>
  );
}

export function NumberQuestion({ ask, value, put }: { ask: string; value: number | undefined; put: (next: number | undefined) => void }) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const read = typedNumber(text);
  const wrong = text.trim() !== '' && !(Number.isFinite(read) && read >= 0);
  return (
    <Field
      label={ask}
      inputMode="decimal"
      value={text}
      problem={wrong ? t.giveANumberOrLeave : undefined}
      onChangeText={(next) => {
        setText(next);
        const number = typedNumber(next);
        put(next.trim() === '' || !Number.isFinite(number) || number < 0 ? undefined : number);
      }}
    />
  );
}
