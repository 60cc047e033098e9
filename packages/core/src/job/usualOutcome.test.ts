import { withOneRemedyEach } from '../testing.ts';
import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { usualOutcome } from './usualOutcome.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const by = (...payloads: EntryPayload[]) => jobOf(payloads.map((each) => ['tobin', each] as const));
const decided = (fault: string): EntryPayload => ({ kind: 'decided', fault, remedy: 'x', probability: 0.9 });
const answered = (option: string): EntryPayload => ({ kind: 'quoteAnswered', option, by: 'word', who: 'Imke' });

test('the outcome follows from the work: cleaned, mended, renewed, bypassed; a made part is a part', () => {
  const of = (...payloads: EntryPayload[]) => usualOutcome(saw, by(...payloads));
  expect(of(decided('chips-packed'))).toBe('cleaned');
  expect(of(decided('worm-stripped'))).toBe('replaced');
  expect(of(decided('worm-loose'), answered('arm-bonded'))).toBe('repaired');
  expect(of(decided('pump-worn'), answered('oil-by-hand'))).toBe('repaired');
  expect(of(decided('chips-packed'), { kind: 'gearMade', gear: 'worm', file: 'worm.3mf', material: 'Nylon' })).toBe('replaced');
  expect(of()).toBe('returned');
  expect(of({ kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.6, note: 'a wasp nest' })).toBe('repaired');
  const old = withOneRemedyEach(saw);
  expect(usualOutcome(old, by(decided('tank-empty')))).toBe('cleaned');
});
