import type { ClosingObstacle, Closing } from './obstacles.ts';
import type { EntryPayload, Payload } from './entry.ts';

const PART = '0197a000-0000-7000-8000-00000000beef';
const proved: readonly EntryPayload[] = [
  { kind: 'proofDone', proof: 'hand-cord', passed: true },
  { kind: 'proofDone', proof: 'paper-proof', passed: true },
];
const settings: readonly EntryPayload[] = [
  { kind: 'settingMade', setting: 'lock', figures: 'done', wanted: 'clutch' },
  { kind: 'settingMade', setting: 'fill', figures: 'done', wanted: 'oil' },
];
const chosen: EntryPayload = { kind: 'partChosen', gear: 'worm', partId: PART, partNumber: 'QB-1', name: 'Worm', probability: 0.9 };
const fitted: EntryPayload = { kind: 'partFitted', gear: 'worm', partId: PART, partNumber: 'QB-1' };
/** A cover with two nuts is off and not back. */
const open: EntryPayload = { kind: 'stepDone', step: 'cover-off' };
const repaired: Closing = { outcome: 'repaired', isApprentice: false, isChecked: false };

interface ClosingCase {
  readonly name: string;
  /** What was written of the saw before it is closed. */
  readonly payloads: readonly EntryPayload[];
  readonly closing: Closing;
  /** What stands in the way first; nothing where it may be closed. */
  readonly code?: ClosingObstacle['code'];
}

/** For tests of core, screen and server alike: how a saw (`saw-oil-pump`) is closed, and what bars it. */
export const CLOSING_CASES: readonly ClosingCase[] = [
  { name: 'all set, proved', payloads: [...settings, ...proved], closing: repaired },
  { name: 'not proved', payloads: settings, closing: repaired, code: 'unproved' },
  { name: 'not proved, with a note', payloads: settings, closing: { ...repaired, note: 'The owner runs it himself.' } },
  { name: 'the clutch not set', payloads: [...settings.slice(1), ...proved], closing: repaired, code: 'unset' },
  { name: 'the clutch not set, and goes back as it came', payloads: proved, closing: { ...repaired, outcome: 'returned' } },
  { name: 'a part chosen and not fitted', payloads: [...settings, ...proved, chosen], closing: repaired, code: 'unfitted' },
  { name: 'a part chosen and fitted', payloads: [...settings, ...proved, chosen, fitted], closing: repaired },
  { name: 'the cover still off', payloads: [...settings, ...proved, open], closing: { ...repaired, note: 'so' }, code: 'ledgerOpen' },
  {
    name: 'the cover still off, with why',
    payloads: [...settings, ...proved, open],
    closing: { ...repaired, despiteLedger: 'The owner has it at home.' },
  },
  { name: 'by an apprentice', payloads: [...settings, ...proved], closing: { ...repaired, isApprentice: true }, code: 'lookOverMissing' },
];

/** The entry that closes it so. */
export const closedAs = ({ outcome, note, despiteLedger }: Closing): Payload<'closed'> => ({
  kind: 'closed',
  outcome,
  found: 'worm',
  ...(note !== undefined && { note }),
  ...(despiteLedger !== undefined && { despiteLedger }),
});
