import type { OptionKind } from '@patient-badger/core';

export const OPTION_WORDS: Readonly<Record<OptionKind, string>> = {
  clean: 'Clean',
  adjust: 'Adjust',
  save: 'Save the old part',
  repair: 'Repair',
  replace: 'Replace',
  upgrade: 'Another material',
  overhauledUnit: 'Overhauled unit',
  wholeAssembly: 'Whole assembly',
  donor: 'Donor',
  make: 'Make one',
  bypass: 'Go on without',
  scrap: 'Another machine',
  stop: 'Stop here',
};

export const USE_IS_COMING = 'Fetching how much the machine is used …';

/** Years as an owner says them. @example yearsText(0.4) // '5 months' */
export function yearsText(years: number): string {
  if (years < 1) {
    const months = Math.max(1, Math.round(years * 12));
    return months === 1 ? 'a month' : `${months} months`;
  }
  return `${years < 10 ? Number(years.toFixed(1)) : Math.round(years)} years`;
}
