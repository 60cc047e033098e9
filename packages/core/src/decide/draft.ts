import { inUseUnit, type UseUnit } from '../quantity/useUnit.ts';
import type { OptionKind } from './options.ts';

/** A way to go on, as it is put to the owner. Money in minor units; null where nobody has said a price yet. */
export interface OptionDraft {
  readonly option: string;
  readonly kind: OptionKind;
  readonly partsMinor: number | null;
  readonly minutes: number;
  readonly leadDays: number;
  /** In the unit of the use. */
  readonly lifeMean: number;
  readonly lifeShape: number;
  readonly comeBackRisk: number;
  readonly downtimeDays: number;
  readonly facts: OptionFacts;
}

/** From what an option was drafted: names and figures, worded by the wording package. */
export interface OptionFacts {
  /** The remedies that it consists of, and the faults that they are for. */
  readonly remedies?: readonly string[];
  readonly faults?: readonly string[];
  /** Faults that it leaves as they are. */
  readonly leftFaults?: readonly string[];
  /** How many sellers have a part that fits, and after how many days the soonest. */
  readonly sellers?: number;
  readonly soonestDays?: number;
  /** Used ones on the shelf that fit. */
  readonly donors?: number;
  /** Failures in this shop's own log from which its life is told. */
  readonly ownFailures?: number;
}

export interface DraftFacts {
  readonly faults: readonly {
    readonly name: string;
    readonly remedy: { readonly kind: string; readonly text: string; readonly minutes: number; readonly part?: string | undefined };
  }[];
  /** What the catalogue asks for the part that was chosen, cheapest first. */
  readonly offers: readonly { readonly supplier: string; readonly priceMinor: number; readonly leadDays: number; readonly stock: number }[];
  /** Donors on the shelf that fit. */
  readonly donors: number;
  readonly safetyCritical: boolean;
  /** The gear is of plastic. */
  readonly isPlastic: boolean;
  /** Its outline can be worked out: it is told by its readings. */
  readonly canBeMade: boolean;
  readonly unit: UseUnit;
  /** How long a new one lives by the shop's own log, in that unit; nothing while it does not know. */
  readonly ownLife?: { readonly mean: number; readonly shape: number; readonly failures: number } | undefined;
}

interface Guide {
  readonly hours: number;
  readonly comeBackRisk: number;
}

/** Lives and come-backs where the shop's own log knows none (guide values, shop judgement: they order the options, no more). */
const GUIDES: Readonly<Record<OptionKind, Guide>> = {
  clean: { hours: 100, comeBackRisk: 0.15 },
  adjust: { hours: 100, comeBackRisk: 0.15 },
  save: { hours: 150, comeBackRisk: 0.25 },
  repair: { hours: 200, comeBackRisk: 0.15 },
  replace: { hours: 400, comeBackRisk: 0.05 },
  upgrade: { hours: 600, comeBackRisk: 0.05 },
  overhauledUnit: { hours: 400, comeBackRisk: 0.1 },
  wholeAssembly: { hours: 500, comeBackRisk: 0.03 },
  donor: { hours: 150, comeBackRisk: 0.25 },
  make: { hours: 100, comeBackRisk: 0.35 },
  bypass: { hours: 500, comeBackRisk: 0.02 },
  scrap: { hours: 500, comeBackRisk: 0.05 },
  stop: { hours: 1, comeBackRisk: 0 },
};
/** The life that a kind of option is drafted with, in the unit of the use. */
export const guideLife = (kind: OptionKind, unit: UseUnit): number => inUseUnit(GUIDES[kind].hours, 'hours', unit);

/** The life of an option that somebody wrote, told in another unit; one that says no unit was written in that one. */
export const lifeIn = (
  { lifeMean, lifeUnit }: { readonly lifeMean: number; readonly lifeUnit?: UseUnit | undefined },
  unit: UseUnit,
): number => inUseUnit(lifeMean, lifeUnit ?? unit, unit);

/** Kinds that are no gear's: the remedies of a family in the words of a decision. */
const OF_REMEDY: Readonly<Record<string, OptionKind>> = {
  clean: 'clean',
  refill: 'clean',
  adjust: 'adjust',
  reseal: 'repair',
  free: 'repair',
};
/** Working out a gear, making it and fitting it, besides the remedy's own minutes (guide). */
const [MINUTES_TO_MAKE, MINUTES_TO_SAVE] = [90, 30];

/**
 * The ways to go on that follow from the verdict, the catalogue, the shelf and what is known of the gear, each with why it is
 * there. Bought units and another machine have no price until somebody asks for one, and going on without it none
 * before somebody says what is lost. A part in a safety-critical
 * chain is never made, saved or bypassed. A human changes anything and adds what nobody thought of.
 */
export function draftOptions({
  faults,
  offers,
  donors,
  safetyCritical,
  isPlastic,
  canBeMade,
  unit,
  ownLife,
}: DraftFacts): readonly OptionDraft[] {
  const minutes = faults.reduce((sum, { remedy }) => sum + remedy.minutes, 0);
  const draft: Draft = (kind, more = {}) => ({
    option: kind,
    kind,
    partsMinor: null,
    minutes,
    leadDays: 0,
    lifeShape: 2,
    downtimeDays: 0,
    lifeMean: guideLife(kind, unit),
    comeBackRisk: GUIDES[kind].comeBackRisk,
    facts: {},
    ...more,
  });
  const bought = faults.filter(({ remedy }) => remedy.part !== undefined);
  const without = faults.filter(({ remedy }) => remedy.part === undefined);
  const own = [...new Set(without.map(({ remedy }) => OF_REMEDY[remedy.kind] ?? 'repair'))].map((kind) => {
    const of = without.filter(({ remedy }) => (OF_REMEDY[remedy.kind] ?? 'repair') === kind);
    return draft(kind, {
      partsMinor: 0,
      facts: {
        remedies: of.map(({ remedy }) => remedy.text),
        faults: of.map(({ name }) => name),
        leftFaults: bought.map(({ name }) => name),
      },
    });
  });
  if (bought.length === 0) return [...own, ...ends(draft, safetyCritical)];
  const [cheapest] = offers;
  const soonestDays = Math.min(...offers.map(({ leadDays, stock }) => (stock > 0 ? 0 : leadDays)));
  const lead = cheapest && cheapest.stock > 0 ? 0 : (cheapest?.leadDays ?? 0);
  return [
    ...own,
    draft('replace', {
      partsMinor: cheapest?.priceMinor ?? null,
      leadDays: lead,
      downtimeDays: lead,
      ...(ownLife && { lifeMean: ownLife.mean, lifeShape: ownLife.shape }),
      facts: {
        ...(cheapest && { sellers: offers.length, soonestDays }),
        ...(ownLife && { ownFailures: ownLife.failures }),
      },
    }),
    ...(donors > 0 ? [draft('donor', { partsMinor: 0, facts: { donors } })] : []),
    ...(safetyCritical ? [] : [draft('save', { partsMinor: 0, minutes: minutes + MINUTES_TO_SAVE })]),
    ...(safetyCritical || !canBeMade ? [] : [draft('make', { minutes: minutes + MINUTES_TO_MAKE })]),
    ...(isPlastic && !safetyCritical ? [draft('upgrade')] : []),
    draft('overhauledUnit'),
    draft('wholeAssembly'),
    ...ends(draft, safetyCritical),
  ];
}

type Draft = (kind: OptionKind, more?: Partial<OptionDraft>) => OptionDraft;

const ends = (draft: Draft, safetyCritical: boolean): readonly OptionDraft[] => [
  ...(safetyCritical ? [] : [draft('bypass', { minutes: 15 })]),
  draft('scrap', { minutes: 0 }),
  draft('stop', { partsMinor: 0, minutes: 0 }),
];
