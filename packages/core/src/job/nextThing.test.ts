import { findFamily } from '@patient-badger/knowledge';
import { reassembly } from '../access/reassembly.ts';
import type { Pack } from '../trace/pack.ts';
import type { EntryPayload } from './entry.ts';
import { chosen } from './entrySamples.ts';
import { jobOf } from './jobOf.ts';
import { nextThing } from './nextThing.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const cable = findFamily('dash-odometer-cable') as Pack;
const decided = (fault: string): EntryPayload => ({ kind: 'decided', fault, remedy: 'x', probability: 0.9 });
const next = (pack: Pack, ...payloads: EntryPayload[]) => nextThing(pack, jobOf(payloads.map((each) => ['tobin', each] as const)));
const opened = (...steps: string[]): EntryPayload[] => steps.map((step) => ({ kind: 'stepDone', step }));

test('nothing before the decision and after the end', () => {
  expect(next(saw)).toBeNull();
  expect(next(saw, decided('vent-blocked'), { kind: 'closed', outcome: 'cleaned', found: 'vent', note: 'n' })).toBeNull();
});

test('a stripped worm: opened as far as it comes off, measured, found, fitted, then the way back with the clutch in its place, proved, closed', () => {
  const done: EntryPayload[] = [decided('worm-stripped')];
  expect(next(saw, ...done)).toEqual({ kind: 'open', name: 'Plug lead off', left: 8 });
  done.push(...opened('lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off', 'drum-off', 'plate-off', 'worm-out'));
  expect(next(saw, ...done)).toEqual({ kind: 'measure', gear: 'worm' });
  done.push({
    kind: 'dimensionRead',
    gear: 'worm',
    quantity: 'tipDiameterMm',
    reading: { value: 19.95, plusMinus: 0.03 },
    instrument: 'caliper',
    entered: '19.95 mm',
  });
  expect(next(saw, ...done)).toEqual({ kind: 'findPart', gear: 'worm' });
  done.push({ ...chosen, gear: 'worm' });
  expect(next(saw, ...done)).toEqual({ kind: 'fit', gear: 'worm' });
  done.push({ kind: 'partFitted', gear: 'worm', partId: chosen.partId, partNumber: chosen.partNumber });
  const seen: string[] = [];
  const pieces = reassembly(saw, ['lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off', 'drum-off', 'plate-off', 'worm-out']);
  for (let i = 0; i < 20; i++) {
    const thing = next(saw, ...done);
    if (thing?.kind === 'close') {
      const piece = pieces.find(({ name }) => name === thing.name);
      seen.push(`close ${piece?.id}`);
      done.push({ kind: 'closingDone', step: piece?.id ?? '' });
    } else if (thing?.kind === 'set') {
      seen.push(`set ${thing.name}`);
      done.push({ kind: 'settingMade', setting: 'torque', figures: 'snug', wanted: 'clutch' });
    } else if (thing?.kind === 'prove') {
      const proof = saw.proofs.find(({ name }) => name === thing.name);
      seen.push(`prove ${proof?.id}`);
      done.push({ kind: 'proofDone', proof: proof?.id ?? '', passed: true });
    } else break;
  }
  expect(seen).toEqual([
    'close clean-out',
    'close worm-on',
    'close spin-by-hand',
    'close plate-on',
    'close drum-on',
    'close clutch-on',
    'set Clutch',
    'close cord-out',
    'close bar-on',
    'close cover-on',
    'prove hand-cord',
    'prove paper-proof',
  ]);
  expect(next(saw, ...done)).toEqual({ kind: 'end' });
});

test('a soft gear that is staked is saved before anything goes back, and never asked to be measured for a part', () => {
  const done = [decided('drum-gear-slips'), ...opened('battery', 'cable-off', 'instrument-out', 'case-open')];
  expect(next(cable, ...done)).toEqual({ kind: 'save', gear: 'drumgear' });
  const saved: EntryPayload = { kind: 'partSaved', gear: 'drumgear', way: 'stake', figures: 'staked' };
  expect(next(cable, ...done, saved)?.kind).toBe('close');
});
