import { t as shared } from '@patient-badger/wording/shared';
import type { MaterialId } from '@patient-badger/core';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures, type FigureOf } from '../design/Figures.tsx';
import { Problem } from '../design/Problem.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { DeskLines } from './DeskLines.tsx';
import { DeskList } from './DeskList.tsx';
import { deskInput, textOf } from './deskInput.ts';
import type { DeskContext, DeskEntry, DeskField, DeskInput, DeskSpec, OtherField } from './DeskSpec.ts';
import { MaterialChoice } from './MaterialChoice.tsx';
import { ReadDial } from './ReadDial.tsx';

interface Props<Written> {
  readonly spec: DeskSpec<Written>;
  readonly context: DeskContext;
  /** Where the answer is written; absent where there is nothing to write it to. */
  readonly onWrite?: ((written: Written) => void) | undefined;
}

/** A desk as it is declared. */
export function Desk<Written>({ spec, context, onWrite }: Props<Written>) {
  const { id, prefix, title, caution, intro, notes, drawing: Drawing, dial, list, known, knownFrom, foot, isPart } = spec;
  const { view, row } = context;
  // Two rows of one desk are two sets of figures.
  const key = row ? `${id}-${row.id}` : id;
  const { draft, set, isFilled } = useDeskDraft<Record<string, string>>(key, {
    jobId: view?.job.id,
    known: known?.(context) ?? NOTHING,
    empty: startsOf(spec),
  });
  const [missing, setMissing] = useState<Readonly<Record<string, string>>>(NOTHING);
  const fields = fieldsOf(spec, draft);
  const typed = deskInput(draft);
  const answer = spec.answer(typed, context);
  const found = answer && 'lines' in answer ? answer : null;
  const Frame = isPart ? Part : Card;
  return (
    <Frame>
      {title ? <Text variant="head">{title}</Text> : null}
      {caution ? <Text variant="danger">{caution}</Text> : null}
      {intro ? <Text variant="soft">{intro}</Text> : null}
      <DeskLines lines={notes?.(context) ?? []} />
      <Fields fields={fields} prefix={prefix} draft={draft} missing={missing} onChange={set} />
      {knownFrom && isFilled ? <Text variant="soft">{knownFrom}</Text> : null}
      {Drawing ? <Drawing {...typed} /> : null}
      {dial === undefined || !view ? null : <ReadDial jobId={view.job.id} play={NOTHING} onRead={(reading) => set({ [dial]: reading })} />}
      {list && view ? <DeskList list={list} prefix={prefix} context={context} /> : null}
      <Problem text={answer && 'problem' in answer ? answer.problem : null} />
      <DeskLines lines={found?.lines ?? []} />
      {found?.entry && onWrite ? <WriteButton entry={found.entry} typed={typed} onMissing={setMissing} onWrite={onWrite} /> : null}
      {foot ? <Text variant="soft">{foot}</Text> : null}
    </Frame>
  );
}

/** Within a card that stands already. */
const Part = ({ children }: { children: ReactNode }) => <View className="gap-3">{children}</View>;

/** The press that writes the answer down; what it wants first is said at its field. */
function WriteButton<Written>({
  entry: { label = shared.writeItDown, testID, isPrimary, wants = NOTHING, written },
  typed,
  onMissing,
  onWrite,
}: {
  readonly entry: DeskEntry<Written>;
  readonly typed: DeskInput;
  readonly onMissing: (missing: Readonly<Record<string, string>>) => void;
  readonly onWrite: (written: Written) => void;
}) {
  const press = () => {
    const missing = Object.entries(wants).filter(([name]) => textOf(typed, name) === '');
    onMissing(Object.fromEntries(missing));
    if (missing.length === 0) onWrite(written);
  };
  return <Button variant={isPrimary ? 'primary' : 'plain'} label={label} testID={testID} onPress={press} />;
}

interface FieldsProps {
  readonly fields: readonly DeskField[];
  readonly prefix: string;
  readonly draft: Readonly<Record<string, string>>;
  /** What was wanted and is not there, by field. */
  readonly missing: Readonly<Record<string, string>>;
  readonly onChange: (change: Readonly<Record<string, string>>) => void;
}

/** Fields in their order; figures that follow each other stand side by side. */
const Fields = ({ fields, ...rest }: FieldsProps) => rows(fields).map((row, i) => <Row key={i} row={row} {...rest} />);

function Row({
  row,
  prefix,
  draft,
  missing,
  onChange,
}: Omit<FieldsProps, 'fields'> & { readonly row: readonly FigureOf<string>[] | OtherField }) {
  if (isFigures(row))
    return (
      <Figures
        testID={(name) => `${prefix}-${name}`}
        typed={draft}
        fields={row}
        onChange={(change) => onChange(change as Record<string, string>)}
      />
    );
  const { name, label, testID = `${prefix}-${name}` } = row;
  const value = draft[name] ?? '';
  const change = (text: string) => onChange({ [name]: text });
  switch (row.kind) {
    case 'choice':
      return <Segments label={label} options={row.options} value={value} onChange={change} />;
    case 'material':
      return <MaterialChoice label={label} value={value as MaterialId} onChange={change} testID={testID} />;
    case 'text':
      return (
        <Field
          label={label}
          example={row.example}
          multiline={row.multiline}
          value={value}
          onChangeText={change}
          problem={row.problem?.(value) ?? (value.trim() === '' ? missing[name] : undefined)}
          testID={testID}
        />
      );
  }
}

const isFigures = (row: readonly FigureOf<string>[] | OtherField): row is readonly FigureOf<string>[] => Array.isArray(row);
const isFigure = (field: DeskField): field is FigureOf<string> => Array.isArray(field);

/** Each run of figures together, and every other field by itself. */
function rows(fields: readonly DeskField[]): readonly (readonly FigureOf<string>[] | OtherField)[] {
  const list: (FigureOf<string>[] | OtherField)[] = [];
  for (const field of fields) {
    const last = list.at(-1);
    if (!isFigure(field)) list.push(field);
    else if (Array.isArray(last)) last.push(field);
    else list.push([field]);
  }
  return list;
}

const fieldsOf = ({ fields = [] }: Pick<DeskSpec, 'fields'>, draft: Readonly<Record<string, string>>) =>
  typeof fields === 'function' ? fields(draft) : fields;

/** What stands in the fields before anybody types, those among them that are only asked after a choice. */
const startsOf = (spec: Pick<DeskSpec, 'fields' | 'starts'>): Record<string, string> => ({
  ...Object.fromEntries(fieldsOf(spec, NOTHING).map((field) => (isFigure(field) ? [field[0], ''] : [field.name, field.start ?? '']))),
  ...spec.starts,
});

const NOTHING = {};
