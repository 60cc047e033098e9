import { t } from '@patient-badger/wording/shared';
import type { AuditLine } from '@patient-badger/contract';

const WHAT: Readonly<Record<string, (about: string) => string>> = {
  shopMade: (about) => t.wasOpened(about),
  shopChanged: () => t.theSettingsOfTheShop,
  personAdded: (about) => t.wasAdded(about),
  personChanged: (about) => t.wasChanged(about),
  passphraseReset: (about) => t.wasGivenANewPassphrase(about),
  passphraseChanged: (about) => t.changedThePassphrase(about),
  pinChanged: (about) => t.changedThePin(about),
  deviceSignedOut: (about) => t.wasSignedOut(about || t.aDevice),
  machineChanged: (about) => t.machineWasChanged(about),
  machinesMerged: (about) => t.machineWasMergedWithAnother(about),
  modelAdded: (about) => t.modelWasAdded(about),
  modelChanged: (about) => t.modelWasChanged(about),
  partsChanged: (about) => t.changedInTheCatalogue(about),
  partsImported: (about) => t.aListWasBroughtIn(about),
  familyKept: (about) => t.ownFamily(about),
  shelfAdded: (about) => t.putOnTheShelf(about),
  shelfChanged: (about) => t.onTheShelfWithAbout(about),
  shopExported: () => t.theWholeShopWasWritten,
  bookLineOut: (about) => t.aLineWasTakenOut(about),
  modelBookImported: (about) => t.aModelBookWasBrought(about),
};

const FIELDS: Readonly<Record<string, string>> = {
  rateMinor: t.rateHundredthsAnHour,
  lengthUnit: 'lengths',
  distanceUnit: 'distances',
  torqueUnit: 'torques',
  retiredAt: 'retired',
  personId: t.signedInBy,
};

/** A change outside the jobs in words: what it was, and each thing that became another. */
export function changeWords(
  { what, about, before, after }: AuditLine,
  nameOf: (id: string) => string,
): { readonly head: string; readonly details: readonly string[] } {
  const head = WHAT[what]?.(what === 'passphraseChanged' || what === 'pinChanged' ? nameOf(about) : about) ?? `${what}: ${about}`;
  if (!before || !after) return { head, details: [] };
  const details = Object.keys(after).map((key) => `${FIELDS[key] ?? key}: ${textOf(before[key])} → ${textOf(after[key])}`);
  return { head, details };
}

function textOf(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
