import { findFamily } from '@patient-badger/knowledge';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { entryPayload, type EntryPayload } from './entry.ts';
import type { Pack } from '../trace/pack.ts';
import { checkEntry } from './entryKinds.ts';
import {
  OTHER,
  bushing,
  captured,
  caution,
  chosen,
  closing,
  confirmed,
  decided,
  dimension,
  fitted,
  followUp,
  interval,
  look,
  loose,
  made,
  odometer,
  order,
  pack,
  plate,
  proof,
  refused,
  result,
  saved,
  scan,
  seat,
  set,
  shimSide,
  stuck,
  torque,
} from './entrySamples.ts';

const refusal = (payload: EntryPayload): CoreFailure | null => {
  try {
    checkEntry(payload, pack);
    return null;
  } catch (error) {
    if (error instanceof CoreFailure) return error;
    throw error;
  }
};
/** Where each id stands that the family must have. */
const NAMED: readonly (readonly [EntryPayload, path: string])[] = [
  [{ kind: 'lookRecorded', look: look?.id ?? '', result }, 'look'],
  [{ kind: 'stepDone', step: 'front-out' }, 'step'],
  [{ kind: 'stepSkipped', step: 'front-out', reason: 'x' }, 'step'],
  [stuck('rust'), 'step'],
  [captured, 'step'],
  [captured, 'capture'],
  [confirmed, 'step'],
  [confirmed, 'capture'],
  [loose, 'step'],
  [loose, 'item'],
  [torque, 'step'],
  [torque, 'item'],
  [{ kind: 'waitStarted', wait: 'sealant', minutes: 9, source: 'x' }, 'wait'],
  [{ kind: 'waitCut', wait: 'sealant', reason: 'x' }, 'wait'],
  [{ kind: 'extraDone', extra: 'other-pin' }, 'extra'],
  [{ kind: 'cautionAcknowledged', caution }, 'caution'],
  ...[dimension(1), seat, scan(20), chosen, order, fitted, refused, plate('x')].map((payload) => [payload, 'gear'] as const),
  [{ kind: 'arcsNoted', gear: 'wheel', teeth: 20, from: 1, to: 7, needTeeth: 7 }, 'gear'],
  [{ kind: 'limitNoted', gear: 'wheel', thinningMm: 0.1, source: 'x' }, 'gear'],
  [{ kind: 'handNoted', gear: 'wheel', hand: 'left' }, 'gear'],
  [{ kind: 'priceAsked', gear: 'wheel', what: 'Wheel', supplier: 'Quernby', priceMinor: 900, leadDays: 3 }, 'gear'],
  [{ kind: 'partArrived', gear: 'wheel', order: OTHER }, 'gear'],
  [{ kind: 'partAccepted', gear: 'wheel', order: OTHER, partNumber: 'QB-1' }, 'gear'],
  [{ kind: 'remark', text: 'x', gear: 'wheel' }, 'gear'],
  [{ kind: 'faultFound', fault: pack.faults[0]?.id ?? '', probability: 1 }, 'fault'],
  [decided, 'fault'],
  [{ kind: 'closingDone', step: closing }, 'step'],
  [{ kind: 'closingDone', step: 'front-out' }, 'step'],
  [{ kind: 'proofDone', proof, passed: true }, 'proof'],
  [bushing, 'step'],
  [{ ...followUp, proof }, 'proof'],
  [{ ...set, wanted: pack.settings[0]?.id }, 'wanted'],
  [saved, 'gear'],
  [made, 'gear'],
  [shimSide, 'step'],
];

test.each(NAMED)('%j is taken, and refused with another %s', (payload, field) => {
  expect(refusal(payload)).toBeNull();
  expect(refusal({ ...payload, [field]: 'gremlins' })).toMatchObject({
    code: 'unknownId',
    path: `payload.${field}`,
    detail: { given: 'gremlins', known: expect.stringMatching(/^[\w-]+/) as string },
  });
});

test('where somebody can be hurt no part is saved and none is made, by no door', () => {
  const steering = findFamily('worm-steering-box') as Pack;
  for (const [payload, reason] of [
    [saved, 'safetyCriticalNotSaved'],
    [made, 'safetyCriticalNotMade'],
  ] as const) {
    const check = () => checkEntry({ ...payload, gear: steering.gears[0]?.id ?? '' }, steering);
    expect(check).toThrow(CoreFailure);
    try {
      check();
    } catch (error) {
      expect((error as CoreFailure).detail.reason).toBe(reason);
    }
  }
});

test('a capture says something, or why it was left out', () => {
  const { text: _, ...empty } = captured;
  expect(refusal(empty)).toMatchObject({ code: 'missing', path: 'payload.text' });
  for (const more of [{ text: 'x' }, { value: 0 }, { skipped: 'dark' }]) expect(refusal({ ...empty, ...more })).toBeNull();
});

test('an interval says after what, and in which unit', () => {
  expect(refusal(interval)).toBeNull();
  expect(refusal({ ...interval, every: { days: 90 }, unit: undefined })).toBeNull();
  expect(refusal({ ...interval, every: {} })).toMatchObject({ path: 'payload.every', detail: { reason: 'noInterval' } });
  expect(refusal({ ...interval, unit: undefined })).toMatchObject({ code: 'missing', path: 'payload.unit' });
});

test('an odometer goes forward, by the distance it missed', () => {
  expect(refusal(odometer)).toBeNull();
  expect(refusal({ ...odometer, after: 15.005 })).toBeNull();
  for (const wrong of [{ after: 15.02 }, { after: 5, missed: -5 }, { after: 10, missed: 0 }])
    expect(refusal({ ...odometer, ...wrong })).toMatchObject({ path: 'payload.after', detail: { reason: 'odometerForwardOnly' } });
});

test('without a fault of the list the decision says in words what it was', () => {
  expect(refusal({ ...decided, fault: 'none-of-these', note: 'a nut' })).toBeNull();
  expect(refusal({ ...decided, fault: 'none-of-these' })).toMatchObject({ code: 'missing', path: 'payload.note' });
});

test('the samples are entries as a device writes them', () => {
  for (const [payload] of NAMED) if (payload.kind !== 'teethScanned') expect(entryPayload.safeParse(payload).success).toBe(true);
});
