import { findFamily } from '@patient-badger/knowledge';
import type { GearCard, Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { byKeptRatio } from './keptRatio.ts';

const takeoff = findFamily('speedometer-takeoff') as Pack;
const card = (id: string) => takeoff.gears.find((each) => each.id === id) as GearCard;
const chosen: EntryPayload = { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 23, readingErrorPercent: 1.2, basis: 'rolled' };
const state = jobOf([['tobin', chosen]]);
const measured = {
  type: 'helical',
  teeth: 25,
  normalModuleMm: 1,
  hand: 'right',
  tipDiameterMm: 28.4,
  boreDiameterMm: 6,
  mateTeeth: 7,
} as const;

test('the chosen count is what is looked for; pitch, hand and bore stay, what follows from the count goes', () => {
  const wanted = byKeptRatio(takeoff, { card: card('driven'), measured }, state);
  expect(wanted).toEqual({ type: 'helical', teeth: 23, normalModuleMm: 1, hand: 'right', boreDiameterMm: 6 });
  expect(byKeptRatio(takeoff, { card: card('drive'), measured: { ...measured, teeth: 8 } }, state)?.teeth).toBe(7);
});

test('nothing changes where no pair was chosen, the count is the same, or the chain has no speedometer', () => {
  expect(byKeptRatio(takeoff, { card: card('driven'), measured }, jobOf([]))).toBeNull();
  expect(byKeptRatio(takeoff, { card: card('driven'), measured: { ...measured, teeth: 23 } }, state)).toBeNull();
  const saw = findFamily('saw-oil-pump') as Pack;
  expect(byKeptRatio(saw, { card: saw.gears[0] as GearCard, measured }, state)).toBeNull();
});
