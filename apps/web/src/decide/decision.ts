import { t } from '@patient-badger/wording/decide';
import type { OperationInput, UseUnit } from '@patient-badger/core';
import type { JobState } from '@patient-badger/core/job';
import { OPTION_KINDS, lifeIn, type OptionDraft as DraftFigures, type OptionKind, type RankedOption } from '@patient-badger/core/parts';
import { optionText, type OptionText } from '@patient-badger/wording/options';
import { torqueText } from '../preferences/lengthText.ts';
import { shownAmount, unitWord, type DistanceUnit } from '../wording/distance.ts';

/** An option as it is put to the owner: the figures, and the words that somebody may have changed. */
export type OptionDraft = Omit<DraftFigures, 'facts'> &
  OptionText & {
    readonly isGuidePrice?: boolean;
    /** Parts that nobody has asked a price for. */
    readonly unasked?: DraftFigures['facts']['unasked'];
    /** What it leaves is a sentence for the owner, not what is left undone. */ readonly isSentence?: boolean;
  };

/** What the core drafted, in words. */
export const worded = ({ facts, ...draft }: DraftFigures): OptionDraft => ({
  ...draft,
  ...optionText({ kind: draft.kind, facts }, torqueText),
  ...(facts.isGuidePrice && { isGuidePrice: true, unasked: facts.unasked }),
  ...(facts.remedy && { isSentence: true }),
});

/** How much the machine is used, for how long it is meant to be kept, and what a day without it costs. */
export interface Use {
  readonly perYear: number;
  readonly unit: UseUnit;
  readonly horizonYears?: number | undefined;
  readonly costPerDownDayMinor: number;
}

export interface OptionRow {
  readonly draft: OptionDraft;
  /** Null where it has no price yet, or leaves the machine as it came. */
  readonly rank: RankedOption | null;
}

/** What the app drafted, with what somebody changed, added or took off; every life in the unit of the use. */
export function optionsOf(
  drafts: readonly OptionDraft[],
  { options, droppedOptions }: Pick<JobState, 'options' | 'droppedOptions'>,
  unit: UseUnit,
): readonly OptionDraft[] {
  const kept = options.map(({ kind: _, optionKind, lifeUnit, lifeMean, ...rest }): OptionDraft => ({
    ...rest,
    kind: optionKind,
    lifeMean: lifeIn({ lifeMean, lifeUnit }, unit),
  }));
  const drafted = drafts
    .filter(({ option }) => !droppedOptions.includes(option))
    .map((draft) => {
      const changed = kept.find(({ option }) => option === draft.option);
      return changed ? { ...changed, ...(draft.isSentence && { isSentence: true }) } : draft;
    });
  return [...drafted, ...kept.filter(({ option }) => !drafts.some((draft) => draft.option === option))];
}

/** Whether an option is one of those that are compared by their cost a year. */
export const isPriced = ({ kind, partsMinor }: OptionDraft): boolean => kind !== 'stop' && partsMinor !== null;

/** The priced options as `decide.options` takes them; null where there is none. */
export function optionsQuestion(
  options: readonly OptionDraft[],
  use: Use,
  rateMinorPerHour: number,
): OperationInput<'decide.options'> | null {
  const priced = options.filter(isPriced);
  if (priced.length === 0) return null;
  return {
    options: priced.map(({ option, kind, partsMinor, minutes, leadDays, lifeMean, lifeShape, comeBackRisk, downtimeDays }) => ({
      id: option,
      kind,
      partsMinor: partsMinor ?? 0,
      minutes,
      leadDays,
      comeBackRisk,
      downtimeDays,
      life: { mean: lifeMean, shape: lifeShape },
    })),
    use: { perYear: use.perYear, unit: use.unit },
    rateMinorPerHour,
    costPerDownDayMinor: use.costPerDownDayMinor,
    ...(use.horizonYears !== undefined && { horizonYears: use.horizonYears }),
  };
}

/** Priced ones cheapest a year first, then those that want a price, in the order of their kinds. */
export function inOrder(options: readonly OptionDraft[], ranked: readonly RankedOption[]): readonly OptionRow[] {
  const priced = ranked.flatMap((rank) => {
    const draft = options.find(({ option }) => option === rank.id);
    return draft ? [{ draft, rank }] : [];
  });
  const kinds: readonly OptionKind[] = OPTION_KINDS;
  const rest = options.filter((each) => !isPriced(each)).sort((p, q) => kinds.indexOf(p.kind) - kinds.indexOf(q.kind));
  return [...priced, ...rest.map((draft) => ({ draft, rank: null }))];
}

/** A use in a year as the shop reads it. @example yearlyText({ perYear: 10_000, unit: 'km' }, 'mile') // '6,200 miles a year' */
export const yearlyText = ({ perYear, unit }: Pick<Use, 'perYear' | 'unit'>, distance: DistanceUnit): string =>
  t.aYear(twoFigures(shownAmount(perYear, unit, distance)).toLocaleString('en'), unitWord(unit, distance));

/** To two figures: nobody knows a year's use more closely. */
export function twoFigures(value: number): number {
  const size = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, value))) - 1);
  return Math.max(1, Math.round(value / size) * size);
}
