import { t as shared } from '@patient-badger/wording/shared';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { ReadDial } from './ReadDial.tsx';
import { draftOf, limitsOf, setupField, type DeskProps } from './DeskProps.ts';

interface DeskLine {
  readonly text: string;
  readonly variant?: 'strong' | 'body' | 'soft' | 'danger';
  readonly testID?: string;
}

/** What stands on a desk: figures by their names (an empty one is NaN), words, and whose limits they are. */
export interface DeskInput {
  readonly figures: Readonly<Record<string, number>>;
  readonly words: string;
  readonly source: string;
}

/** What was worked out: sentences, and what is written down by which press; or why it cannot be. */
export type DeskAnswer =
  | { readonly problem: string }
  | {
      readonly lines: readonly DeskLine[];
      readonly entry?: { readonly label?: string; readonly figures: string; readonly isPrimary?: boolean; readonly testID: string };
    };

/** A desk of figures, declared: its fields with where they are filled from, the sum, its sentences and the entry. */
export interface DeskSpec {
  /** Under which what was typed is kept on the device. */
  readonly id: string;
  readonly caution?: string;
  readonly intro?: string;
  /** Figures in their order; with what stands there before anybody types. `least` and `most` are filled from the family's limits. */
  readonly fields: readonly (readonly [name: string, label: string, start?: string])[];
  /** The figure that the dial indicator can read. */
  readonly dial?: string;
  /** A field of words: what is at hand. */
  readonly words?: {
    readonly label: string;
    readonly example: string;
    readonly testID: string;
    readonly problem: (words: string) => string | undefined;
  };
  /** What the field for the source of the limits is called; absent where there are none. */
  readonly source?: string;
  /** Null until enough is typed. */
  readonly answer: (typed: DeskInput) => DeskAnswer | null;
}

/** A desk as it is declared. */
export const deskOf = (spec: DeskSpec) =>
  function FigureDesk({ view: { job }, row, onSet }: DeskProps) {
    const { id, caution, intro, fields, dial, words, source } = spec;
    const names = fields.map(([name]) => name);
    const empty = { ...Object.fromEntries(fields.map(([name, , start = '']) => [name, start])), words: '', source: '' };
    const known = source === undefined ? NOTHING : limitsOf(row);
    const { draft, set } = useDeskDraft<Record<string, string>>(draftOf(id, row), { jobId: job.id, known, empty });
    const typed = typedNumbers(...names.map((name) => draft[name] ?? ''));
    const figures = Object.fromEntries(names.map((name, i) => [name, typed[i] ?? NaN]));
    const answer = spec.answer({ figures, words: draft.words ?? '', source: (draft.source ?? '').trim() });
    const found = answer && 'lines' in answer ? answer : null;
    return (
      <Card>
        {caution ? <Text variant="danger">{caution}</Text> : null}
        {intro ? <Text variant="soft">{intro}</Text> : null}
        <Figures
          testID={setupField}
          typed={draft}
          fields={fields.map(([name, label]) => [name, label] as const)}
          onChange={(change) => set(change)}
        />
        {dial === undefined ? null : <ReadDial jobId={job.id} play={NOTHING} onRead={(reading) => set({ [dial]: reading })} />}
        {words ? (
          <Field
            label={words.label}
            example={words.example}
            value={draft.words ?? ''}
            onChangeText={(text) => set({ words: text })}
            problem={words.problem(draft.words ?? '')}
            testID={words.testID}
          />
        ) : null}
        {source === undefined ? null : <Field label={source} value={draft.source ?? ''} onChangeText={(text) => set({ source: text })} />}
        <Problem text={answer && 'problem' in answer ? answer.problem : null} />
        {found?.lines.map(({ text, variant = 'body', testID }) => (
          <Text key={text} variant={variant} testID={testID}>
            {text}
          </Text>
        ))}
        {found?.entry ? (
          <Button
            variant={found.entry.isPrimary ? 'primary' : 'plain'}
            label={found.entry.label ?? shared.writeItDown}
            testID={found.entry.testID}
            onPress={() => found.entry && onSet(found.entry.figures, (draft.source ?? '').trim())}
          />
        ) : null}
      </Card>
    );
  };

const NOTHING = {};
