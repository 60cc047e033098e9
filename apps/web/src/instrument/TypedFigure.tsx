import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/instrument';
import type { InstrumentReading } from '@patient-badger/core/gear';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { unitText } from '../wording/readingText.ts';

interface Props {
  readonly quantity: string;
  readonly unit: InstrumentReading['unit'];
  readonly resultOf: (value: number) => string;
  readonly onTake: (reading: InstrumentReading) => void;
}

/** A figure read by eye and typed in; what it stands for shows while it is typed. */
export function TypedFigure({ quantity, unit, resultOf, onTake }: Props) {
  const [typed, setTyped] = useState('');
  const value = typedNumber(typed);
  const given = typed.trim() !== '';
  const usable = given && Number.isFinite(value) && value >= 0;
  return (
    <View className="gap-2">
      <Field
        label={`${quantity}${unitText(unit) ? shared.inUnit(unitText(unit)) : ''}`}
        inputMode="decimal"
        value={typed}
        onChangeText={setTyped}
        problem={given && !usable ? t.thatIsNoFigureThat : undefined}
        testID="typed-figure"
      />
      {usable ? (
        <Button label={t.takeIt(resultOf(value))} testID="take-typed" onPress={() => onTake({ instrument: 'eye', value, unit })} />
      ) : null}
    </View>
  );
}
