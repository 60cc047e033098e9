import type { AuditLine } from '@patient-badger/contract';

const WHAT: Readonly<Record<string, (about: string) => string>> = {
  shopMade: (about) => `${about} was opened`,
  shopChanged: () => 'The settings of the shop',
  personAdded: (about) => `${about} was added`,
  personChanged: (about) => `${about} was changed`,
  passphraseReset: (about) => `${about} was given a new passphrase`,
  passphraseChanged: (about) => `${about} changed the passphrase`,
  pinChanged: (about) => `${about} changed the PIN`,
  deviceSignedOut: (about) => `${about || 'A device'} was signed out`,
  machineChanged: (about) => `Machine ${about} was changed`,
  machinesMerged: (about) => `Machine ${about} was merged with another record of it`,
  modelAdded: (about) => `Model ${about} was added`,
  modelChanged: (about) => `Model ${about} was changed`,
  partsChanged: (about) => `Changed in the catalogue: ${about}`,
  partsImported: (about) => `A list was brought in: ${about}`,
  familyKept: (about) => `Own family: ${about}`,
  shelfAdded: (about) => `Put on the shelf: ${about}`,
  shelfChanged: (about) => `On the shelf: ${about}`,
  shopExported: () => 'The whole shop was written out',
  bookLineOut: (about) => `A line was taken out of a model book: ${about}`,
  modelBookImported: (about) => `A model book was brought in: ${about}`,
};

const FIELDS: Readonly<Record<string, string>> = {
  rateMinor: 'rate, hundredths an hour',
  lengthUnit: 'lengths',
  distanceUnit: 'distances',
  torqueUnit: 'torques',
  retiredAt: 'retired',
  personId: 'signed in by',
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
