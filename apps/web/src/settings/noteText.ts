import type { EntryPayload } from '@patient-badger/core/job';
import type { Waiting } from '../data/outbox.ts';

/** The fields in which people write freely, the one that says most first. */
const FREE = ['text', 'complaint', 'found', 'reason', 'note'] as const;
type Free = (typeof FREE)[number];

const freeField = (payload: EntryPayload): Free | undefined =>
  FREE.find((field) => typeof (payload as Partial<Record<Free, unknown>>)[field] === 'string');

/** What a person wrote in a note and can write otherwise; null where it has no words of its own. */
export function textOf(item: Waiting): string | null {
  if (item.kind === 'machine') return item.machine.label;
  if (item.kind !== 'entry') return null;
  const field = freeField(item.entry.payload);
  return field === undefined ? null : String((item.entry.payload as Partial<Record<Free, unknown>>)[field]);
}

/** The same note in other words. */
export function changeText(item: Waiting, text: string): Waiting {
  if (item.kind === 'machine') return { ...item, machine: { ...item.machine, label: text } };
  if (item.kind !== 'entry') return item;
  const field = freeField(item.entry.payload);
  return field === undefined ? item : { ...item, entry: { ...item.entry, payload: { ...item.entry.payload, [field]: text } } };
}
