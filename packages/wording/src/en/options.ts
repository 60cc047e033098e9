import type { OptionDraft, OptionKind } from '@patient-badger/core/parts';
import { catalogue } from '../catalogue.ts';

/** What an option is called, what it leaves undone or takes from the machine, and why it is there. */
export interface OptionText {
  readonly name: string;
  readonly leaves: string;
  readonly why: string;
}

export const t = catalogue({
  asked: (faults: string) => `What the verdict asks for: ${faults}.`,
  replace: 'The part new, the same as it was',
  oneSeller: 'One seller has a part that fits by its dimensions',
  sellers: (count: number) => `${count} sellers have a part that fits by its dimensions`,
  soonestThere: (sellers: string) => `${sellers}; the soonest is there.`,
  soonestIn: (sellers: string, days: number) => `${sellers}; the soonest in ${days === 1 ? 'a day' : `${days} days`}.`,
  noPartChosen: 'What the verdict asks for; no part is chosen yet, so there is no price.',
  ownLife: (why: string, failures: number) => `${why} Its life is this shop’s own: ${failures} failed here.`,
  donor: 'A used one off the shelf',
  donorLeaves: 'Its wear: it comes back on a day that is agreed.',
  oneDonor: 'One lies on the shelf and would fit.',
  donors: (count: number) => `${count} lie on the shelf and would fit.`,
  save: 'Save the old one: bond it, solder it, close its bore, open it for a sleeve',
  saveLeaves: 'The wear of its teeth.',
  saveWhy: 'Costs no part. It depends on whether its seat or its teeth are gone.',
  make: 'Make one: print, mill or cut it by its measured outline',
  makeWhy: 'Its teeth are told well enough to be drawn.',
  upgrade: 'The same gear in metal',
  upgradeLeaves: 'The next link becomes the fuse: look at the weakest link.',
  upgradeWhy: 'It was of plastic, and it broke.',
  overhauledUnit: 'An overhauled unit',
  overhauledLeaves: 'What an overhaul usually leaves: bearings and seals, unless its sheet names them.',
  overhauledWhy: 'Somebody else may sell the whole gearbox done up.',
  wholeAssembly: 'The whole assembly new',
  assemblyWhy: 'Where the part is not sold apart.',
  bypass: 'Leave it out',
  bypassLeaves: 'Write what the machine cannot do any more.',
  bypassWhy: 'Some owners can do without.',
  scrap: 'Another machine',
  scrapWhy: 'What another one costs stands beside the rest.',
  stop: 'It goes back as it came',
  stopLeaves: 'Everything.',
  stopWhy: 'The owner may say no.',
});

type Facts = OptionDraft['facts'];

const asked = ({ remedies = [], faults = [], leftFaults = [] }: Facts): OptionText => ({
  name: remedies.join(' '),
  leaves: leftFaults.join('; '),
  why: t.asked(faults.join('; ')),
});

function replaceWhy({ sellers, soonestDays = 0, ownFailures }: Facts): string {
  const who = sellers === 1 ? t.oneSeller : t.sellers(sellers ?? 0);
  const offered = soonestDays === 0 ? t.soonestThere(who) : t.soonestIn(who, soonestDays);
  const why = sellers === undefined ? t.noPartChosen : offered;
  return ownFailures === undefined ? why : t.ownLife(why, ownFailures);
}

const TEXTS: Readonly<Record<OptionKind, (facts: Facts) => OptionText>> = {
  clean: asked,
  adjust: asked,
  repair: asked,
  replace: (facts) => ({ name: t.replace, leaves: '', why: replaceWhy(facts) }),
  donor: ({ donors = 0 }) => ({ name: t.donor, leaves: t.donorLeaves, why: donors === 1 ? t.oneDonor : t.donors(donors) }),
  save: () => ({ name: t.save, leaves: t.saveLeaves, why: t.saveWhy }),
  make: () => ({ name: t.make, leaves: '', why: t.makeWhy }),
  upgrade: () => ({ name: t.upgrade, leaves: t.upgradeLeaves, why: t.upgradeWhy }),
  overhauledUnit: () => ({ name: t.overhauledUnit, leaves: t.overhauledLeaves, why: t.overhauledWhy }),
  wholeAssembly: () => ({ name: t.wholeAssembly, leaves: '', why: t.assemblyWhy }),
  bypass: () => ({ name: t.bypass, leaves: t.bypassLeaves, why: t.bypassWhy }),
  scrap: () => ({ name: t.scrap, leaves: '', why: t.scrapWhy }),
  stop: () => ({ name: t.stop, leaves: t.stopLeaves, why: t.stopWhy }),
};

/** How an option that the core drafted is put to people. */
export const optionText = ({ kind, facts }: Pick<OptionDraft, 'kind' | 'facts'>): OptionText => TEXTS[kind](facts);
