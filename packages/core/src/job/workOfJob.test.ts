import { withOneRemedyEach } from '../testing.ts';
import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { isProved, laterLooks, openSettings } from './proofPlan.ts';
import { remediesOfJob, workOfJob } from './workOfJob.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const decided = (fault: string): EntryPayload => ({ kind: 'decided', fault, remedy: 'replace', probability: 0.9 });
const by = (...payloads: EntryPayload[]) => jobOf(payloads.map((each) => ['tobin', each] as const));
const opened = (...steps: string[]): EntryPayload[] => steps.map((step) => ({ kind: 'stepDone', step }));

test('the work is what the family names first for the fault, or what the owner answered', () => {
  expect(remediesOfJob(saw, by(decided('worm-stripped'))).map(({ id }) => id)).toEqual(['worm-new']);
  const answered: EntryPayload = { kind: 'quoteAnswered', option: 'worm-donor', by: 'word', who: 'Imke' };
  expect(remediesOfJob(saw, by(decided('worm-stripped'), answered)).map(({ id }) => id)).toEqual(['worm-donor']);
  expect(remediesOfJob(saw, by())).toEqual([]);
});

test('only what the work brings is wanted set and proved; what was opened on the way wants what its piece sets', () => {
  const vent = by(decided('vent-blocked'));
  expect(openSettings(saw, vent)).toEqual([]);
  expect(workOfJob(saw, vent).proofs.map(({ id }) => id)).toEqual(['paper-proof']);
  expect(isProved(saw, by(decided('vent-blocked'), { kind: 'proofDone', proof: 'paper-proof', passed: true }))).toBe(true);
  expect(laterLooks(saw, vent, { on: '2026-03-01', usedGear: String })).toEqual([]);
  // Somebody had the clutch off before it turned out to be the vent: it is tightened all the same.
  const clutch = by(...opened('lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off'), decided('vent-blocked'));
  expect(openSettings(saw, clutch).map(({ id }) => id)).toEqual(['clutch']);
});

test('while nothing is decided, and for a file that names no remedies, everything of the family is wanted as before', () => {
  expect(openSettings(saw, by()).map(({ id }) => id)).toEqual(saw.settings.map(({ id }) => id));
  const old = withOneRemedyEach(saw);
  expect(openSettings(old, by(decided('vent-blocked'))).map(({ id }) => id)).toEqual(saw.settings.map(({ id }) => id));
});
