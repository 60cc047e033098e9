import { readFigure, type FigureBase } from '@patient-badger/core';
import { t } from '@patient-badger/wording/design';
import { useState } from 'react';
import { View } from 'react-native';
import { useFigureUnit } from '../preferences/figureUnit.ts';
import { threeFigures } from '../wording/threeFigures.ts';
import { Field } from './Field.tsx';
import { Text } from './Text.tsx';

/**
 * A figure to be typed: its name, its label, and what it is kept in where it has a unit. Such a label is told the unit in which this
 * device's hands write; another that is typed behind the figure is turned into what is kept.
 */
export type FigureOf<Name extends string> =
  readonly [name: Name, label: string] | readonly [name: Name, label: (unit: string) => string, base: FigureBase];

interface Props<Name extends string> {
  readonly typed: Readonly<Partial<Record<Name, string>>>;
  readonly fields: readonly FigureOf<Name>[];
  readonly onChange: (change: Partial<Record<Name, string>>) => void;
  readonly testID: (name: Name) => string;
  readonly problems?: Readonly<Partial<Record<Name, string>>> | undefined;
}

/** Figures side by side, as they are typed; they go on in the next line before a field gets too narrow. */
export const Figures = <Name extends string>({ typed, fields, onChange, testID, problems }: Props<Name>) => (
  <View className="flex-row flex-wrap gap-2">
    {fields.map((field) => {
      const [name] = field;
      const rest = {
        value: typed[name] ?? '',
        onChange: (text: string) => onChange({ [name]: text } as Partial<Record<Name, string>>),
        problem: problems?.[name],
        testID: testID(name),
      };
      return (
        <View key={name} className="min-w-[140px] flex-1">
          {field.length === 2 ? <PlainFigure label={field[1]} {...rest} /> : <UnitFigure label={field[1]} base={field[2]} {...rest} />}
        </View>
      );
    })}
  </View>
);

interface FigureProps {
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly problem: string | undefined;
  readonly testID: string;
}

/** A figure without a unit: kept as it is typed; what is no figure is said to be none. */
function PlainFigure({ label, value, onChange, problem, testID }: FigureProps & { readonly label: string }) {
  const isNone = value.trim() !== '' && readFigure(value) === null;
  return (
    <Field
      label={label}
      inputMode="decimal"
      value={value}
      onChangeText={onChange}
      problem={problem ?? (isNone ? t.noFigure : undefined)}
      testID={testID}
    />
  );
}

/** A figure with a unit: kept in its base as a decimal, shown as it was typed. */
function UnitFigure({
  label,
  base,
  value,
  onChange,
  problem,
  testID,
}: FigureProps & { readonly label: (unit: string) => string; readonly base: FigureBase }) {
  const { word, factor } = useFigureUnit(base);
  const [last, setLast] = useState({ typed: value, kept: value, word: '' });
  // Another hand may have changed what is kept: an instrument, what is known of the machine, or another unit that was chosen.
  const text = last.kept === value && last.word === word ? last.typed : shown(value, factor);
  const figure = text.trim() === '' ? null : readFigure(text, base, word);
  const isPlain = PLAIN.test(text.trim());
  const change = (typed: string) => {
    const read = readFigure(typed, base, word);
    // What is plain stays as it is typed where it is kept in the same unit; what is not understood stays too, and counts as nothing.
    const kept = read === null || (factor === 1 && PLAIN.test(typed.trim())) ? typed : decimal(read, DIGITS);
    setLast({ typed, kept, word });
    onChange(kept);
  };
  return (
    <>
      <Field
        label={label(word)}
        inputMode="text"
        value={text}
        onChangeText={change}
        problem={problem ?? (text.trim() !== '' && figure === null ? NONE_WORDS[base] : undefined)}
        testID={testID}
      />
      {figure !== null && !isPlain ? <Text variant="soft">{t.thatIs(threeFigures(figure / factor), word)}</Text> : null}
    </>
  );
}

const PLAIN = /^-?[\d.,]*$/;
/** A figure turned from one unit into another is kept to so many places, and shown to fewer. */
const DIGITS = 8;
const SHOWN_DIGITS = 5;
const decimal = (value: number, digits: number) => String(Number(value.toPrecision(digits)));

/** What is kept, in the unit that is read here; what is no figure stays as it is. */
function shown(kept: string, factor: number): string {
  const value = kept.trim() === '' || factor === 1 ? null : readFigure(kept);
  return value === null ? kept : decimal(value / factor, SHOWN_DIGITS);
}

const NONE_WORDS: Readonly<Record<FigureBase, string>> = { mm: t.noLength, 'N·m': t.noTorque, perKm: t.noPerKm };
