import { t } from '@patient-badger/wording/shared';
import type { OptionKind } from '@patient-badger/core/parts';

export const OPTION_WORDS: Readonly<Record<OptionKind, string>> = {
  clean: t.clean,
  adjust: t.adjust,
  save: t.saveTheOldPart,
  repair: t.repair,
  replace: t.replace,
  upgrade: t.anotherMaterial,
  overhauledUnit: t.overhauledUnit,
  wholeAssembly: t.wholeAssembly,
  donor: t.donor,
  make: t.makeOne,
  bypass: t.goOnWithout,
  scrap: t.anotherMachine,
  stop: t.stopHere,
};

export const USE_IS_COMING = t.fetchingHowMuchTheMachine;

/** Years as an owner says them. @example yearsText(0.4) // '5 months' */
export function yearsText(years: number): string {
  if (years < 1) {
    const months = Math.max(1, Math.round(years * 12));
    return months === 1 ? t.aMonth : t.months(months);
  }
  return t.years(years < 10 ? Number(years.toFixed(1)) : Math.round(years));
}
