import { inUseUnit, type UseUnit } from '../quantity/useUnit.ts';
import { remediesOf } from '../trace/remedies.ts';
import type { Fault, Pack } from '../trace/pack.ts';
import type { OptionKind, Remedy, RemedyPart } from '../work/remedy.ts';
import { planIfAny } from '../work/workPlan.ts';
import { seatStrength, type SeatStrength, type SeatFacts } from './holding.ts';
import { madeTooth, type ToothFacts, type MadeToothStrength } from './madeTooth.ts';

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
  /** The family's remedy that it is, and others that are done with it because of other faults. */
  readonly remedy?: Pick<Remedy, 'name' | 'suits' | 'leaves' | 'school'>;
  readonly besides?: readonly string[];
  /** Some of its parts are priced by a guide, for nobody has asked yet: which, by their gears or their names. */
  readonly isGuidePrice?: boolean;
  readonly unasked?: readonly Pick<RemedyPart, 'gear' | 'item'>[];
  /** How many sellers have a part that fits, and after how many days the soonest. */
  readonly sellers?: number;
  readonly soonestDays?: number;
  /** Used ones on the shelf that fit. */
  readonly donors?: number;
  /** What a saved seat or a made tooth bears, against what the driver can bring there. */
  readonly holding?: SeatStrength | MadeToothStrength;
  /** The gear that runs with what is new, of which nobody has measured whether it is worn. */
  readonly unmeasuredMate?: string;
  /** What has to be reckoned at its own desk before it is done: its pin, what is left of its wall, what gives first in its place. */
  readonly reckonFirst?: readonly ReckonFirst[];
  /** Failures in this shop's own log from which its life is told. */
  readonly ownFailures?: number;
  /** Its life is the usual one of the gears of this chain. */
  readonly isFamilyLife?: boolean;
}

/** A remedy that is left out, and why: its outline is not told yet, what will not come bars the way, or it would not hold. */
export type OptionRefusal =
  | { readonly name: string; readonly why: 'measureFirst' | 'barred' }
  | { readonly name: string; readonly why: 'doesNotHold'; readonly holdsNm: number; readonly needNm: number }
  | { readonly name: string; readonly why: 'mateWorn'; readonly mate: string };

/** Sums that hang on what no card of a gear asks for. */
const RECKONED_APART = { 'strength.pin': 'pin', 'fit.boreOut': 'wall', 'strength.chain': 'weakestLink' } as const;
type ReckonFirst = (typeof RECKONED_APART)[keyof typeof RECKONED_APART];

export interface DraftFacts {
  readonly pack: Pack;
  /** What has to be set right, the one decided on before others. */
  readonly faults: readonly Fault[];
  readonly opened: readonly string[];
  readonly stuck: readonly string[];
  /** The body whose part is asked for, if one is: offers and donors are of it. */
  readonly gear?: string | undefined;
  /** What the catalogue asks for the part that was chosen, cheapest first. */
  readonly offers: readonly { readonly supplier: string; readonly priceMinor: number; readonly leadDays: number; readonly stock: number }[];
  /** What sellers were asked for parts that the catalogue has not: gears by their bodies, other parts by their names. */
  readonly asked: readonly {
    readonly body?: string | undefined;
    readonly what: string;
    readonly priceMinor: number;
    readonly leadDays: number;
  }[];
  /** What was measured of the seats that can be saved, by their joints. */
  readonly seats: Readonly<Record<string, SeatFacts>>;
  /** What was measured of the gear that is asked for. */
  readonly tooth?: ToothFacts | undefined;
  /** How worn bodies are that were measured for it. */
  readonly wear: Readonly<Record<string, 'good' | 'watch' | 'replace'>>;
  /** Donors on the shelf that fit. */
  readonly donors: number;
  /** Its outline can be worked out: it is told by its readings. */
  readonly canBeMade: boolean;
  readonly unit: UseUnit;
  /** The shop's rate for an hour; nothing while it has none. */
  readonly rateMinor: number;
  /** How long a new one lives by the shop's own log, in that unit; nothing while it does not know. */
  readonly ownLife?: { readonly mean: number; readonly shape: number; readonly failures: number } | undefined;
}

/** Lives where neither the shop's own log nor the family knows one (guide values, shop judgement: they order the options, no more). */
const GUIDE_HOURS: Readonly<Record<OptionKind, number>> = {
  clean: 100,
  adjust: 100,
  save: 150,
  repair: 200,
  replace: 400,
  upgrade: 600,
  overhauledUnit: 400,
  wholeAssembly: 500,
  donor: 150,
  make: 100,
  bypass: 500,
  scrap: 500,
  stop: 1,
};
/** The life that a kind of option is drafted with, in the unit of the use. */
export const guideLife = (kind: OptionKind, unit: UseUnit): number => inUseUnit(GUIDE_HOURS[kind], 'hours', unit);

/** The life of an option that somebody wrote, told in another unit; one that says no unit was written in that one. */
export const lifeIn = (
  { lifeMean, lifeUnit }: { readonly lifeMean: number; readonly lifeUnit?: UseUnit | undefined },
  unit: UseUnit,
): number => inUseUnit(lifeMean, lifeUnit ?? unit, unit);

/** Another machine in the place of this one comes back seldom (guide). */
const COME_BACK_OF_ANOTHER = 0.05;
const MINUTES_A_DAY = 24 * 60;
/** Of a price that nobody has asked for more is not known. */
const GUIDE_ROUNDED_TO = 100;
/** Of a Weibull life, ln(0.1)/ln(0.9): the range from the tenth to the ninetieth of a hundred is as wide as its shape says. */
const SPREAD_10_90 = Math.log(Math.log(0.1) / Math.log(0.9));
const [LEAST_SHAPE, MOST_SHAPE] = [0.8, 8];

/**
 * The ways to go on that follow from the verdict: the remedies of the family for it, each with the minutes of its whole plan
 * from what is open now, its parts by the catalogue, the shelf or a guide, and its life by the shop's own log or the family. With
 * several faults each way does them all, the others by what is named first for them. A human changes anything and adds
 * what nobody thought of.
 */
export function draftOptions(facts: DraftFacts): {
  readonly drafts: readonly OptionDraft[];
  readonly notOffered: readonly OptionRefusal[];
} {
  const { pack, faults } = facts;
  const [main, ...others] = faults;
  const besides = others.flatMap((fault) => remediesOf(pack, fault).slice(0, 1));
  const drafts: OptionDraft[] = [];
  const notOffered: OptionRefusal[] = [];
  for (const remedy of main ? remediesOf(pack, main) : []) {
    const done = [remedy, ...besides.filter(({ id }) => id !== remedy.id)];
    const minutes = minutesOf(facts, done);
    const holding = seatStrength(remedy, facts.seats) ?? madeTooth(remedy, isOf(remedy, facts.gear) ? facts.tooth : undefined);
    const { holdsNm = null, needNm = null } = holding ?? {};
    const mate = keptMate(pack, remedy);
    if (holdsNm !== null && needNm !== null && holdsNm < needNm) {
      notOffered.push({ name: remedy.name, why: 'doesNotHold', holdsNm, needNm });
    } else if (mate && facts.wear[mate.body] === 'replace') {
      notOffered.push({ name: remedy.name, why: 'mateWorn', mate: mate.name });
    } else if (remedy.checks.some(({ operation }) => operation === 'make.outline') && !facts.canBeMade) {
      notOffered.push({ name: remedy.name, why: 'measureFirst' });
    } else if (minutes === null) notOffered.push({ name: remedy.name, why: 'barred' });
    else {
      const unmeasuredMate = mate && facts.wear[mate.body] === undefined ? mate.name : undefined;
      drafts.push(drafted(facts, done, { ...minutes, holding, unmeasuredMate }));
    }
  }
  return { drafts: [...drafts, ...ends(facts, drafts)], notOffered };
}

/** Whether what is made is this body. */
const isOf = ({ parts, checks }: Remedy, body: string | undefined): boolean =>
  [...parts.map(({ gear }) => gear), ...checks.map(({ about }) => about)].includes(body);

/** The gear that stays and runs with what is new, where there is a card to measure it by; none where both are renewed. */
function keptMate({ gears }: Pack, { checks, parts }: Remedy): Pack['gears'][number] | undefined {
  const about = checks.find(({ operation }) => operation === 'gear.wear')?.about;
  return parts.some(({ gear }) => gear === about) ? undefined : gears.find(({ body }) => body === about);
}

/** What else has to be reckoned for a remedy that changes the machine. */
const reckonFirst = ({ kind, checks }: Remedy): readonly ReckonFirst[] =>
  kind === 'replace'
    ? []
    : [
        ...new Set(
          checks.flatMap(({ operation }) => (operation in RECKONED_APART ? RECKONED_APART[operation as keyof typeof RECKONED_APART] : [])),
        ),
      ];

/** Minutes of hands, and days that it waits by itself; null where what will not come bars the way. */
function minutesOf({ pack, ...at }: DraftFacts, remedies: readonly Remedy[]): { hands: number; days: number } | null {
  const plan = planIfAny(pack, remedies, at);
  return plan && { hands: Math.round(plan.minutes), days: Math.floor(plan.elapsedMinutes / MINUTES_A_DAY) };
}

interface Reckoned {
  readonly hands: number;
  readonly days: number;
  readonly holding: SeatStrength | MadeToothStrength | null;
  readonly unmeasuredMate: string | undefined;
}

function drafted(facts: DraftFacts, done: readonly Remedy[], { hands, days, holding, unmeasuredMate }: Reckoned): OptionDraft {
  const [remedy, ...besides] = done as [Remedy, ...Remedy[]];
  const { partsMinor, leadDays, ...priced } = partsOf(facts, done);
  const { name, suits, leaves, school } = remedy;
  const { lifeMean, lifeShape, ...lived } = lifeOf(facts, remedy);
  const apart = reckonFirst(remedy);
  return {
    option: remedy.id,
    kind: remedy.kind,
    partsMinor,
    minutes: hands,
    leadDays,
    lifeMean,
    lifeShape,
    comeBackRisk: Number((1 - done.reduce((holds, { comeBackRisk }) => holds * (1 - comeBackRisk), 1)).toFixed(4)),
    downtimeDays: leadDays + days,
    facts: {
      remedy: { name, suits, leaves, ...(school && { school }) },
      ...(besides.length > 0 && { besides: besides.map((each) => each.name) }),
      ...priced,
      ...(holding && { holding }),
      ...(unmeasuredMate !== undefined && { unmeasuredMate }),
      ...(apart.length > 0 && { reckonFirst: apart }),
      ...lived,
    },
  };
}

/** What its parts cost and how long they take: as asked for, off the shelf, or by a guide until somebody asks. */
function partsOf({ gear, offers, asked, donors, rateMinor }: DraftFacts, done: readonly Remedy[]) {
  const [cheapest] = offers;
  let partsMinor: number | null = 0;
  let leadDays = 0;
  const unasked: Pick<RemedyPart, 'gear' | 'item'>[] = [];
  let bought: Pick<OptionFacts, 'sellers' | 'soonestDays'> = {};
  let used: Pick<OptionFacts, 'donors'> = {};
  if (done.some(({ kind }) => kind === 'scrap')) return { partsMinor: null, leadDays };
  for (const { kind, parts } of done) {
    for (const part of parts) {
      const isWanted = part.gear !== undefined && part.gear === gear;
      const said = cheapestOf(asked.filter(({ body, what }) => (part.gear === undefined ? what === part.item : body === part.gear)));
      if (isWanted && kind === 'donor' && donors > 0) used = { donors };
      else if (isWanted && kind === 'replace' && cheapest) {
        partsMinor += cheapest.priceMinor * part.count;
        leadDays = Math.max(leadDays, cheapest.stock > 0 ? 0 : cheapest.leadDays);
        bought = { sellers: offers.length, soonestDays: Math.min(...offers.map((offer) => (offer.stock > 0 ? 0 : offer.leadDays))) };
      } else if (said) {
        partsMinor += said.priceMinor * part.count;
        leadDays = Math.max(leadDays, said.leadDays);
      } else {
        const { low, high } = part.guideHours;
        partsMinor += ((low + high) / 2) * rateMinor * part.count;
        unasked.push({ ...(part.gear !== undefined && { gear: part.gear }), ...(part.item !== undefined && { item: part.item }) });
      }
    }
  }
  const isGuidePrice = unasked.length > 0;
  if (isGuidePrice && rateMinor === 0) return { partsMinor: null, leadDays, ...bought, ...used };
  const rounded = isGuidePrice ? Math.max(1, Math.round(partsMinor / GUIDE_ROUNDED_TO)) * GUIDE_ROUNDED_TO : partsMinor;
  return { partsMinor: rounded, leadDays, ...(isGuidePrice && { isGuidePrice, unasked }), ...bought, ...used };
}

const cheapestOf = <P extends { readonly priceMinor: number }>(list: readonly P[]): P | undefined =>
  [...list].sort((p, q) => p.priceMinor - q.priceMinor)[0];

/** How long it holds: by the shop's own log for the gear itself, else by what the family says of its gears, as far as the remedy reaches. */
function lifeOf({ pack, gear, unit, ownLife }: DraftFacts, { kind, parts, lifeShare }: Remedy) {
  const fitted = parts.flatMap((part) => part.gear ?? []);
  if (ownLife && gear !== undefined && fitted.includes(gear))
    return { lifeMean: ownLife.mean * lifeShare, lifeShape: ownLife.shape, ownFailures: ownLife.failures };
  const known = pack.gears.flatMap(({ body, lifeNew }) => (lifeNew ? [{ body, ...lifeNew }] : []));
  const own = known.filter(({ body }) => fitted.includes(body));
  const lives = (own.length > 0 ? own : known).map(({ low, high, unit: in_ }) => ({
    low: inUseUnit(low, in_, unit),
    high: inUseUnit(high, in_, unit),
  }));
  // A chain lasts as long as what is worn out first.
  const [first] = lives.sort((p, q) => p.low + p.high - q.low - q.high);
  const share = Math.max(lifeShare, 0.001);
  if (!first) return { lifeMean: guideLife(kind, unit) * share, lifeShape: 2 };
  const shape = first.high > first.low ? SPREAD_10_90 / Math.log(first.high / first.low) : MOST_SHAPE;
  return {
    lifeMean: ((first.low + first.high) / 2) * share,
    lifeShape: Number(Math.min(MOST_SHAPE, Math.max(LEAST_SHAPE, shape)).toFixed(2)),
    isFamilyLife: true,
  };
}

/** Another machine, and leaving it as it came: whatever was found, an owner may say so. */
function ends({ unit }: DraftFacts, drafts: readonly OptionDraft[]): readonly OptionDraft[] {
  const end = (kind: 'scrap' | 'stop'): OptionDraft => ({
    option: kind,
    kind,
    partsMinor: kind === 'stop' ? 0 : null,
    minutes: 0,
    leadDays: 0,
    lifeMean: guideLife(kind, unit),
    lifeShape: 2,
    comeBackRisk: kind === 'stop' ? 0 : COME_BACK_OF_ANOTHER,
    downtimeDays: 0,
    facts: {},
  });
  return (['scrap', 'stop'] as const).filter((kind) => !drafts.some((each) => each.kind === kind)).map(end);
}
