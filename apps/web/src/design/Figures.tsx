import { readFigure, type FigureBase } from '@patient-badger/core';
import { t } from '@patient-badger/wording/design';
import { useState } from 'react';
import { View } from 'react-native';
import { threeFigures } from '../wording/threeFigures.ts';
import { Field } from './Field.tsx';
import { Text } from './Text.tsx';

interface Props<Name extends string> {
  readonly typed: Readonly<Partial<Record<Name, string>>>;
  /** `base` is what the figure is kept in, where it has a unit: another that is typed behind it is turned into that. */
  readonly fields: readonly (readonly [name: Name, label: string, base?: FigureBase | undefined])[];
  readonly onChange: (change: Partial<Record<Name, string>>) => void;
  readonly testID: (name: Name) => string;
  readonly problems?: Readonly<Partial<Record<Name, string>>> | undefined;
}

/** Figures side by side, as they are typed; they go on in the next line before a field gets too narrow. */
export const Figures = <Name extends string>({ typed, fields, onChange, testID, problems }: Props<Name>) => (
  <View className="flex-row flex-wrap gap-2">
    {fields.map(([name, label, base]) => (
      <View key={name} className="min-w-[140px] flex-1">
        <Figure
          label={label}
          base={base}
          value={typed[name] ?? ''}
          onChange={(text) => onChange({ [name]: text } as Partial<Record<Name, string>>)}
          problem={problems?.[name]}
          testID={testID(name)}
        />
      </View>
    ))}
  </View>
);

interface FigureProps {
  readonly label: string;
  readonly base: FigureBase | undefined;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly problem: string | undefined;
  readonly testID: string;
}

/** One figure: kept in its base as a decimal, shown as it was typed; what is no figure is said to be none. */
function Figure({ label, base, value, onChange, problem, testID }: FigureProps) {
  const [last, setLast] = useState({ typed: value, kept: value });
  // Another hand may have changed what is kept: an instrument, or what is known of the machine.
  const text = last.kept === value ? last.typed : value;
  const figure = text.trim() === '' ? null : readFigure(text, base);
  const change = (typed: string) => {
    const read = readFigure(typed, base);
    // What is plain stays as it is typed; what is not understood stays too, and counts as nothing.
    const kept = read === null || PLAIN.test(typed.trim()) ? typed : String(Number(read.toPrecision(DIGITS)));
    setLast({ typed, kept });
    onChange(kept);
  };
  return (
    <>
      <Field
        label={label}
        inputMode={base === undefined ? 'decimal' : 'text'}
        value={text}
        onChangeText={change}
        problem={problem ?? (text.trim() !== '' && figure === null ? t.thatIsNoFigure : undefined)}
        testID={testID}
      />
      {figure !== null && base !== undefined && !PLAIN.test(text.trim()) ? (
        <Text variant="soft">{t.thatIs(threeFigures(figure), BASE_WORDS[base])}</Text>
      ) : null}
    </>
  );
}

const PLAIN = /^-?[\d.,]*$/;
/** A figure turned from one unit into another is kept to so many places. */
const DIGITS = 8;
const BASE_WORDS: Readonly<Record<FigureBase, string>> = { mm: 'mm', 'N·m': 'N·m', perKm: t.perKm };
