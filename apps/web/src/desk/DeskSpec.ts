import type { MaterialId } from '@patient-badger/core';
import type { EntryPayload } from '@patient-badger/core/job';
import type { SettingTarget } from '@patient-badger/core/machine';
import type { ReactNode } from 'react';
import type { FigureOf } from '../design/Figures.tsx';
import type { Aim } from '../instrument/instruments.ts';
import type { JobView } from '../job/JobView.ts';
import type { ChartProps } from './ReadingChart.tsx';

/** Where a desk stands: by itself, or at a job, and there for a row of the family's settings. */
export interface DeskContext {
  readonly view?: JobView | undefined;
  readonly row?: SettingTarget | undefined;
  /** The unit of the shop's own wrench. */
  readonly torqueUnit?: string | undefined;
}

/** What stands on a desk: every field as it is typed, and each as a figure (NaN where it is empty or none). */
export interface DeskInput {
  readonly texts: Readonly<Record<string, string>>;
  readonly figures: Readonly<Record<string, number>>;
}

/** A field that is no figure. `start` is what stands there before anybody chooses or types. */
export type OtherField = { readonly name: string; readonly label: string; readonly start?: string; readonly testID?: string } & (
  | {
      readonly kind: 'text';
      readonly example?: string;
      readonly multiline?: boolean;
      readonly problem?: (text: string) => string | undefined;
    }
  | { readonly kind: 'choice'; readonly options: readonly (readonly [value: string, label: string])[] }
  | { readonly kind: 'material'; readonly start: MaterialId }
);
export type DeskField = FigureOf<string> | OtherField;

/** A line of the answer: a sentence, curves, or one of several answers with how likely it is. */
export type DeskLine =
  | {
      readonly text: string;
      readonly variant?: 'head' | 'strong' | 'body' | 'soft' | 'danger';
      readonly testID?: string;
    }
  | { readonly chart: ChartProps }
  | { readonly candidate: string; readonly chance?: number; readonly detail: string };

/** What is written by which press; and what has to be typed before, with what is said where it is missing. */
export interface DeskEntry<Written> {
  readonly label?: string;
  readonly testID: string;
  readonly isPrimary?: boolean;
  readonly wants?: Readonly<Record<string, string>>;
  readonly written: Written;
}

/** What was worked out, and what of it is written down; or why it cannot be. */
export type DeskAnswer<Written> =
  { readonly problem: string } | { readonly lines: readonly DeskLine[]; readonly entry?: DeskEntry<Written> };

/** Readings that are kept one after the other before there is an answer. */
export interface DeskList {
  readonly title: string;
  readonly fields: readonly FigureOf<string>[];
  /** The figure that the dial indicator can read, and at which setting it is asked. */
  readonly dial: string;
  readonly play: (typed: DeskInput) => NonNullable<Aim['play']>;
  readonly kept: (context: DeskContext) => readonly string[];
  readonly label: string;
  readonly testID: string;
  /** The entry that keeps a reading, or what is wrong with it. */
  readonly entry: (typed: DeskInput) => EntryPayload | string;
}

/** A desk, declared: its fields with where they are filled from, the sum, its sentences and what is written. */
export interface DeskSpec<Written = never> {
  /** Under which what was typed is kept on the device. */
  readonly id: string;
  /** What tests call its fields: `${prefix}-${name}`. */
  readonly prefix: string;
  readonly title?: string;
  readonly caution?: string;
  readonly intro?: string;
  /** What is to be known before anything is typed. */
  readonly notes?: (context: DeskContext) => readonly DeskLine[];
  readonly drawing?: (typed: DeskInput) => ReactNode;
  readonly fields?: readonly DeskField[] | ((typed: Readonly<Record<string, string>>) => readonly DeskField[]);
  /** What stands in figures before anybody types. */
  readonly starts?: Readonly<Record<string, string>>;
  /** The figure that the dial indicator can read. */
  readonly dial?: string;
  readonly list?: DeskList;
  /** What the job and its machine know of the fields. */
  readonly known?: (context: DeskContext) => Readonly<Record<string, string>>;
  /** Said where something that is known stands in a field. */
  readonly knownFrom?: string;
  /** Null until enough is typed. */
  readonly answer: (typed: DeskInput, context: DeskContext) => DeskAnswer<Written> | null;
  readonly foot?: string;
  /** Within a card that stands already, a proof's. */
  readonly isPart?: boolean;
}
