import { findFamily } from '@patient-badger/knowledge';
import { stepsToReach } from '../access/opening.ts';
import type { Pack } from '../trace/pack.ts';
import { emptyJob } from './jobState.ts';
import { bypassPrices, minutesToTheEnd } from './withoutOpening.ts';

const WALK = findFamily('walk-drive-gearbox') as Pack;
const SAW = findFamily('saw-oil-pump') as Pack;
const RATE = 6000;
const suspect = (fault: string, probability = 0.9) => [{ fault, probability }];
const shut = emptyJob();

test('before the first screw: one wheel left out is dearer than nothing and cheaper than a new pin, by their whole plans', () => {
  const prices = bypassPrices(WALK, shut, { suspects: suspect('pin-jammed'), rateMinor: RATE });
  expect(prices?.bypasses.map(({ remedy, minutes }) => [remedy.id, minutes])).toEqual([['one-wheel-left', 28]]);
  expect(prices?.leftAsItIs).toEqual({ minutes: 0, priceMinor: 0 });
  expect(prices?.setRight?.minutes).toBe(45);
  // At 60 an hour and 28 minutes no less than 28, with what its parts cost by the guide on top.
  expect(prices?.bypasses[0]?.priceMinor).toBeGreaterThanOrEqual(2800);
});

test('at every opening what opening still costs is less, and leaving it costs closing it again', () => {
  const reached = stepsToReach(WALK, ['pinions-off'], { reached: new Set() }).map(({ id }) => id);
  const open = { ...shut, reached };
  const of = (state: typeof shut) => bypassPrices(WALK, state, { suspects: suspect('pin-jammed'), rateMinor: RATE });
  expect(of(open)?.setRight?.minutes).toBeLessThan(of(shut)?.setRight?.minutes ?? 0);
  expect(of(open)?.leftAsItIs.minutes).toBeGreaterThan(0);
});

test('nothing is priced for a suspect that does not lead, and a decision goes before every suspect', () => {
  const asked = { suspects: suspect('pin-jammed', 0.08), rateMinor: RATE };
  expect(bypassPrices(WALK, shut, asked)).toBeNull();
  const decided = { kind: 'decided', fault: 'worm-worn', remedy: 'replace', probability: 1 } as const;
  expect(bypassPrices(WALK, { ...shut, decided }, asked)?.fault.id).toBe('worm-worn');
  expect(bypassPrices(WALK, shut, { suspects: suspect('pin-jammed'), rateMinor: 0 })?.setRight?.priceMinor).toBeNull();
});

test('minutes to the end are those of the whole plan: 10.5 in, 5 of work, 15.5 back, 2.5 proved', () => {
  const worm = SAW.faults.filter(({ id }) => id === 'worm-stripped');
  expect(minutesToTheEnd(SAW, shut, worm)).toBe(34);
  expect(minutesToTheEnd(SAW, { ...shut, reached: ['lead-off', 'cover-off', 'bar-off'] }, worm)).toBe(31);
});
