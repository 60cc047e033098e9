import type { OptionRefusal, OptionDraft } from '@patient-badger/core/parts';
import { catalogue } from '../catalogue.ts';

/** What an option is called, what it leaves undone or takes from the machine, and why it is there. */
export interface OptionText {
  readonly name: string;
  readonly leaves: string;
  readonly why: string;
}

export const t = catalogue({
  suits: (whom: string) => `For ${whom}.`,
  withOthers: (name: string, others: string) => `${name}; with it: ${others}`,
  oneSeller: 'One seller has a part that fits by its dimensions',
  sellers: (count: number) => `${count} sellers have a part that fits by its dimensions`,
  soonestThere: (sellers: string) => `${sellers}; the soonest is there.`,
  soonestIn: (sellers: string, days: number) => `${sellers}; the soonest in ${days === 1 ? 'a day' : `${days} days`}.`,
  guidePrice: 'The price of its parts is a guide: nobody has asked yet.',
  ownLife: (failures: number) => `Its life is this shop’s own: ${failures} failed here.`,
  familyLife: 'Its life is a guide: what gears of this chain usually last.',
  oneDonor: 'One lies on the shelf and would fit.',
  donors: (count: number) => `${count} lie on the shelf and would fit.`,
  scrap: 'Another machine',
  scrapWhy: 'What another one costs stands beside the rest.',
  stop: 'It goes back as it came',
  stopLeaves: 'Everything.',
  stopWhy: 'The owner may say no.',
  measureFirst: (name: string) => `${name}: not until the gear is measured, so that its outline can be drawn.`,
  holds: (holds: string, need: string) => `As measured it should hold ${holds}; the driver brings at most ${need} there (guides).`,
  holdsOnly: (holds: string) => `As measured it should hold ${holds} (a guide); what the driver brings there is not known.`,
  holdingUnknown: (list: string) => `Whether it holds is not known: measure ${list}.`,
  doesNotHold: (name: string, holds: string, need: string) =>
    `${name}: as measured it would hold ${holds}, and the driver can bring ${need} there.`,
  mateWorn: (name: string, mate: string) => `${name}: ${mate.toLowerCase()} is worn out and would wear the new one out.`,
  unmeasuredMate: (mate: string) => `Measure ${mate.toLowerCase()} first: a worn one wears the new one out.`,
  reckonPin: 'Work out the pin first, at the desk for the weakest link.',
  reckonWall: 'Work out first how much wall is left.',
  reckonWeakestLink: 'With it another part breaks first: work out the weakest link before you fit it.',
  barred: (name: string) => `${name}: what will not come bars the way to it.`,
});

type Facts = OptionDraft['facts'];
type Torque = (newtonMetres: number) => string;

/** What is measured of a seat or of a gear, as it is asked for. */
const MEASURES: Readonly<Record<NonNullable<Facts['holding']>['missing'][number], string>> = {
  shaftMm: 'the shaft',
  boreMm: 'the bore',
  lengthMm: 'the width of the gear',
  outerMm: 'across the roots of its teeth',
  material: 'what it is made of',
  teeth: 'its teeth',
  normalModuleMm: 'its module',
  faceWidthMm: 'its face width',
};

const RECKON_FIRST: Readonly<Record<NonNullable<Facts['reckonFirst']>[number], string>> = {
  pin: t.reckonPin,
  wall: t.reckonWall,
  weakestLink: t.reckonWeakestLink,
};

function holdingText({ holdsNm, needNm, missing }: NonNullable<Facts['holding']>, torque: Torque): string {
  if (holdsNm === null) return t.holdingUnknown(missing.map((each) => MEASURES[each]).join(', '));
  return needNm === null ? t.holdsOnly(torque(holdsNm)) : t.holds(torque(holdsNm), torque(needNm));
}

function whyOf(
  { remedy, sellers, soonestDays = 0, donors, isGuidePrice, holding, unmeasuredMate, reckonFirst, ownFailures, isFamilyLife }: Facts,
  torque: Torque,
): string {
  const who = sellers === 1 ? t.oneSeller : t.sellers(sellers ?? 0);
  return [
    remedy && t.suits(remedy.suits),
    holding && holdingText(holding, torque),
    unmeasuredMate !== undefined && t.unmeasuredMate(unmeasuredMate),
    ...(reckonFirst ?? []).map((each) => RECKON_FIRST[each]),
    sellers !== undefined && (soonestDays === 0 ? t.soonestThere(who) : t.soonestIn(who, soonestDays)),
    donors !== undefined && (donors === 1 ? t.oneDonor : t.donors(donors)),
    isGuidePrice && t.guidePrice,
    ownFailures !== undefined && t.ownLife(ownFailures),
    isFamilyLife && t.familyLife,
  ]
    .filter(Boolean)
    .join(' ');
}

/** How an option that the core drafted is put to people, torques in their own unit. */
export function optionText({ kind, facts }: Pick<OptionDraft, 'kind' | 'facts'>, torque: Torque): OptionText {
  const { remedy, besides = [] } = facts;
  if (remedy) {
    const name = besides.length > 0 ? t.withOthers(remedy.name, besides.join('; ')) : remedy.name;
    return { name, leaves: remedy.leaves, why: whyOf(facts, torque) };
  }
  return kind === 'stop' ? { name: t.stop, leaves: t.stopLeaves, why: t.stopWhy } : { name: t.scrap, leaves: '', why: t.scrapWhy };
}

/** Why a remedy is not among the options. */
export function notOfferedText(refusal: OptionRefusal, torque: Torque): string {
  switch (refusal.why) {
    case 'doesNotHold':
      return t.doesNotHold(refusal.name, torque(refusal.holdsNm), torque(refusal.needNm));
    case 'mateWorn':
      return t.mateWorn(refusal.name, refusal.mate);
    default:
      return t[refusal.why](refusal.name);
  }
}
