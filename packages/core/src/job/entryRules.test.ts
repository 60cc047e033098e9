import { findFamily } from '@patient-badger/knowledge';
import { CoreFailure } from '../failure/CoreFailure.ts';
import type { Pack } from '../trace/pack.ts';
import { entryPayload, type Entry, type EntryKind, type EntryPayload, type Payload } from './entry.ts';
import { checkEntry, ENTRY_RULES } from './entryKinds.ts';
import { foldJob } from './fold.ts';
import { EMPTY_JOB, type JobState } from './jobState.ts';

const pack = findFamily('auger-gearbox') as Pack;
const JOB = '0197a000-0000-7000-8000-000000000001';
const OTHER = '0197a000-0000-7000-8000-0000000000bb';
const id = (n: number) => `0197a000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const at = (n: number) => new Date(1_700_000_000_000 + n * 60_000).toISOString();
const after = (...payloads: EntryPayload[]): JobState =>
  foldJob(
    JOB,
    payloads.map((payload, n): Entry => ({ id: id(n), jobId: JOB, at: at(n), by: 'tobin', payload })),
  );
const m = { value: 20, plusMinus: 0.03 };
const [caution, proof, closing, look] = [
  pack.cautions[0]?.id ?? '',
  pack.proofs[0]?.id ?? '',
  pack.closing[0]?.id ?? '',
  pack.looks.find(({ kind }) => kind === 'table'),
];
const result = look?.kind === 'table' ? (look.results[0]?.id ?? '') : '';
const hash = 'a'.repeat(64);
const bentPlate = { kind: 'ownLookRecorded', saw: 'a bent plate', fault: 'chips-packed', speaks: 'against', sure: 'very' } as const;
const order: Payload<'partOrdered'> = {
  kind: 'partOrdered',
  gear: 'wheel',
  partId: OTHER,
  partNumber: 'QB-1',
  name: 'Wheel',
  supplier: 'Quernby',
  attributes: { teeth: 20 },
};
const stored = { ...order, id: id(0), at: at(0) };
const seat: Payload<'seatRead'> = { kind: 'seatRead', gear: 'wheel', shape: 'key', bore: { diameterMm: m }, shaft: {} };
const scan = (n: number): Payload<'teethScanned'> => ({
  ...{ kind: 'teethScanned', gear: 'wheel', hash },
  found: {
    ...{ read: true, teeth: n, teethPresent: n, confidence: 0.9, centre: { xPx: 1, yPx: 1 }, tipRadiusPx: 9, rootRadiusPx: 8 },
    ...{ rim: { longPx: 9, shortPx: 9, axisDeg: 0 }, flaws: [], corrected: [], points: [] },
  } as unknown as Payload<'teethScanned'>['found'],
});
const dimension = (value: number, more: Partial<Payload<'dimensionRead'>> = {}): Payload<'dimensionRead'> => ({
  ...{ kind: 'dimensionRead', gear: 'wheel', quantity: 'tipDiameterMm', instrument: 'digitalCaliper', entered: `${value} mm` },
  reading: { value, plusMinus: 0.03 },
  ...more,
});
const kept = (value: number, n: number, more: object = {}) => ({
  ...{ entryId: id(n), reading: { value, plusMinus: 0.03 }, instrument: 'digitalCaliper', entered: `${value} mm` },
  ...more,
});
const captured: Payload<'captured'> = { kind: 'captured', step: 'front-out', capture: 'sides', text: 'long one left' };
const confirmed: Payload<'captureConfirmed'> = { kind: 'captureConfirmed', step: 'front-out', capture: 'sides', ok: true };
const loose: Payload<'looseNoted'> = { kind: 'looseNoted', step: 'front-out', item: 'shear-pins', what: 'broken', count: 1 };
const torque: Payload<'torqueNoted'> = {
  kind: 'torqueNoted',
  step: 'front-out',
  item: 'plate-bolts',
  torque: { value: 9, unit: 'N·m', source: 'sheet' },
};
const ratio: Payload<'ratioChosen'> = { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 20, readingErrorPercent: 1, basis: 'tyre' };
const odometer: Payload<'odometerCorrected'> = { kind: 'odometerCorrected', before: 10, after: 15, missed: 5, unit: 'km', reason: 'stood' };
const chosen: Payload<'partChosen'> = {
  kind: 'partChosen',
  gear: 'wheel',
  partId: OTHER,
  partNumber: 'QB-1',
  name: 'Wheel',
  probability: 0.9,
};
const refused: Payload<'partRefused'> = {
  kind: 'partRefused',
  gear: 'wheel',
  order: id(0),
  partNumber: 'QB-1',
  deciding: 'teeth',
  note: 'two short',
};
const fitted: Payload<'partFitted'> = { kind: 'partFitted', gear: 'wheel', partId: OTHER, partNumber: 'QB-1' };
const plate = (where: string): Payload<'plateRead'> => ({ kind: 'plateRead', partNumber: 'QB-1', where, gear: 'wheel' });
const taken: Payload<'takenIn'> = { kind: 'takenIn', machineId: OTHER, family: pack.id, complaint: 'stands', facts: { hours: 12 } };
const decided: Payload<'decided'> = { kind: 'decided', fault: pack.faults[0]?.id ?? '', remedy: 'replace', probability: 0.9 };
const closed: Payload<'closed'> = { kind: 'closed', outcome: 'cleaned', found: 'chips' };
const stuck = (snag: string): Payload<'stepStuck'> => ({ kind: 'stepStuck', step: 'front-out', snag });
const wheel = (state: JobState['gears'][string]) => ({ gears: { wheel: state } });
const written = { at: at(0), by: 'tobin' };

/** For each kind: what is written, and all that the job is otherwise than before it. */
const WRITTEN: { readonly [K in EntryKind]: readonly (readonly [payloads: readonly EntryPayload[], change: Partial<JobState>])[] } = {
  takenIn: [[[taken], { takenIn: taken, takenInAt: at(0), facts: { hours: 12 } }]],
  ownLookRecorded: [[[bentPlate], { ownLooks: [{ ...bentPlate, entryId: id(0) }] }]],
  lookRecorded: [
    [[{ kind: 'lookRecorded', look: look?.id ?? '', result }], { observations: [{ look: look?.id ?? '', result, entryId: id(0) }] }],
    [
      [{ kind: 'lookRecorded', look: 'x', result: 'y', reading: { value: 3, unit: 'mm', plusMinus: 0.1, instrument: 'caliper' } as never }],
      {
        observations: [
          { look: 'x', result: 'y', entryId: id(0), reading: { value: 3, unit: 'mm', plusMinus: 0.1, instrument: 'caliper' } as never },
        ],
      },
    ],
  ],
  stepDone: [
    [
      [
        { kind: 'stepDone', step: 'a' },
        { kind: 'stepDone', step: 'a' },
      ],
      { reached: ['a'], handled: [{ done: 'a' }, { done: 'a' }] },
    ],
    [
      [stuck('rust'), { ...stuck('rust'), step: 'other' }, { kind: 'stepDone', step: 'front-out' }],
      { reached: ['front-out'], handled: [{ done: 'front-out' }], stuck: [{ ...stuck('rust'), step: 'other' }] },
    ],
  ],
  stepSkipped: [
    [
      [{ kind: 'stepSkipped', step: 'a', reason: 'is off' }],
      { reached: ['a'], handled: [{ done: 'a' }], skipped: [{ kind: 'stepSkipped', step: 'a', reason: 'is off' }] },
    ],
  ],
  stepStuck: [
    [[stuck('rust'), { ...stuck('rust'), step: 'b' }, stuck('thread')], { stuck: [{ ...stuck('rust'), step: 'b' }, stuck('thread')] }],
  ],
  captured: [
    [
      [captured, { ...captured, capture: 'belt-run' }, { ...captured, text: 'short one' }],
      {
        captures: [
          { ...captured, capture: 'belt-run' },
          { ...captured, text: 'short one' },
        ],
      },
    ],
  ],
  captureConfirmed: [
    [
      [confirmed, { ...confirmed, step: 'b' }, { ...confirmed, ok: false }],
      {
        confirmed: [
          { ...confirmed, step: 'b' },
          { ...confirmed, ok: false },
        ],
      },
    ],
  ],
  looseNoted: [[[loose, loose], { looseNotes: [loose, loose] }]],
  torqueNoted: [
    [
      [torque, { ...torque, item: 'x' }, { ...torque, step: 'y' }, torque],
      { torques: [{ ...torque, item: 'x' }, { ...torque, step: 'y' }, torque] },
    ],
  ],
  waitStarted: [
    [
      [{ kind: 'waitStarted', wait: 'sealant', minutes: 60, source: 'tube' }],
      { waits: [{ wait: 'sealant', startedAt: at(0), minutes: 60, source: 'tube' }] },
    ],
  ],
  waitCut: [[[{ kind: 'waitCut', wait: 'sealant', reason: 'snow' }], { waitsCut: [{ kind: 'waitCut', wait: 'sealant', reason: 'snow' }] }]],
  extraDone: [[[{ kind: 'extraDone', extra: 'other-pin' }], { extras: ['other-pin'] }]],
  photoMarked: [
    [
      [
        { kind: 'photoMarked', hash: 'x', strokes: [] },
        { kind: 'photoMarked', hash, strokes: [[[0, 1]]] },
      ],
      { photoMarks: { x: [], [hash]: [[[0, 1]]] } },
    ],
  ],
  cautionAcknowledged: [[[{ kind: 'cautionAcknowledged', caution }], { acknowledged: [caution] }]],
  dimensionRead: [
    [[dimension(20), dimension(21)], wheel({ readings: { tipDiameterMm: [kept(20, 0), kept(21, 1)] } })],
    [[dimension(7.7, { quantity: 'spanMm', over: 3 })], wheel({ readings: { spanMm: [kept(7.7, 0, { over: 3 })] } })],
    [
      [dimension(20), dimension(22, { piece: 'new' }), dimension(23, { piece: 'donor' })],
      wheel({
        readings: { tipDiameterMm: [kept(20, 0)] },
        beside: { new: { tipDiameterMm: [kept(22, 1)] }, donor: { tipDiameterMm: [kept(23, 2)] } },
      }),
    ],
  ],
  seatRead: [[[seat], wheel({ readings: {}, seat })]],
  arcsNoted: [
    [
      [{ kind: 'arcsNoted', gear: 'wheel', teeth: 20, from: 1, to: 7, needTeeth: 7 }],
      wheel({ readings: {}, arcs: { kind: 'arcsNoted', gear: 'wheel', teeth: 20, from: 1, to: 7, needTeeth: 7 } }),
    ],
  ],
  limitNoted: [
    [
      [{ kind: 'limitNoted', gear: 'wheel', thinningMm: 0.1, source: 'sheet' }],
      wheel({ readings: {}, limit: { kind: 'limitNoted', gear: 'wheel', thinningMm: 0.1, source: 'sheet' } }),
    ],
  ],
  teethScanned: [
    [[scan(20), { ...scan(19), hash: 'b' }, scan(21)], wheel({ readings: {}, scans: [{ ...scan(19), hash: 'b' }, scan(21)] })],
  ],
  handNoted: [[[{ kind: 'handNoted', gear: 'wheel', hand: 'left' }], wheel({ readings: {}, hand: 'left' })]],
  photoTaken: [[[{ kind: 'photoTaken', hash, about: 'wheel' }], { photos: [{ kind: 'photoTaken', hash, about: 'wheel' }] }]],
  faultFound: [[[{ kind: 'faultFound', fault: 'f', probability: 0.9 }], { found: ['f'] }]],
  decided: [[[decided], { decided }]],
  outsideChecked: [[[{ kind: 'outsideChecked', checker: 'Edda', licence: 'Brask & Sons', on: '2026-03-02' }], {}]],
  partChosen: [[[chosen], wheel({ readings: {}, chosen })]],
  partOrdered: [[[order], wheel({ readings: {}, orders: [{ ...stored, state: 'ordered' }] })]],
  partArrived: [
    [[order, { kind: 'partArrived', gear: 'wheel', order: id(0) }], wheel({ readings: {}, orders: [{ ...stored, state: 'arrived' }] })],
  ],
  partAccepted: [
    [
      [order, { kind: 'partAccepted', gear: 'wheel', order: id(0), partNumber: 'QB-1' }],
      wheel({ readings: {}, orders: [{ ...stored, state: 'accepted' }] }),
    ],
    [
      [order, { kind: 'partAccepted', gear: 'wheel', order: OTHER, partNumber: 'QB-1' }],
      wheel({ readings: {}, orders: [{ ...stored, state: 'ordered' }] }),
    ],
  ],
  partRefused: [
    [
      [order, dimension(22, { piece: 'new' }), dimension(23, { piece: 'donor' }), refused],
      wheel({
        readings: {},
        orders: [{ ...stored, state: 'refused', refusal: refused }],
        beside: { donor: { tipDiameterMm: [kept(23, 2)] } },
      }),
    ],
  ],
  partFitted: [[[fitted], wheel({ readings: {}, fitted })]],
  plateRead: [
    [
      [plate('seat'), { ...plate('side'), partNumber: 'QB-2' }, plate('frame')],
      { plates: [{ ...plate('side'), partNumber: 'QB-2' }, plate('frame')] },
    ],
  ],
  closingDone: [
    [
      [
        { kind: 'closingDone', step: 'a', short: [{ step: 'a', item: 'b', count: 2 }] },
        { kind: 'closingDone', step: 'a' },
      ],
      { closingDone: ['a'], handled: [{ back: 'a' }, { back: 'a' }], short: [{ step: 'a', item: 'b', count: 2 }] },
    ],
  ],
  proofDone: [
    [
      [
        { kind: 'proofDone', proof, passed: false },
        { kind: 'proofDone', proof: 'x', passed: true },
        { kind: 'proofDone', proof, passed: true },
      ],
      {
        proofs: [
          { kind: 'proofDone', proof: 'x', passed: true },
          { kind: 'proofDone', proof, passed: true },
        ],
      },
    ],
  ],
  secondChecked: [[[{ kind: 'secondChecked' }], {}]],
  ratioChosen: [[[ratio], { ratioChosen: ratio }]],
  odometerCorrected: [[[odometer], { odometerCorrected: { ...odometer, ...written } }]],
  remark: [[[{ kind: 'remark', text: 'greasy', gear: 'wheel' }], { remarks: [{ kind: 'remark', text: 'greasy', gear: 'wheel' }] }]],
  closed: [[[closed], { closed: { ...closed, ...written } }]],
  reopened: [[[closed, { kind: 'reopened', reason: 'drips' }], { closed: null }]],
  withdrawn: [[[closed, { kind: 'withdrawn', entry: id(0) }], {}]],
};

test.each(Object.entries(WRITTEN).flatMap(([kind, list]) => list.map((each, i) => [kind, i, ...each] as const)))(
  '%s (%d) changes what it says and nothing else',
  (_kind, _i, payloads, change) => {
    const { jobId: _, active: __, withdrawn: ___, ...state } = after(...payloads);
    expect(state).toEqual({ ...EMPTY_JOB, ...change });
  },
);

test('these kinds are work, and these put a job on the bench or take it off', () => {
  const having = (flag: 'isWork' | 'movesJob') =>
    Object.entries(ENTRY_RULES)
      .flatMap(([kind, rule]) => (rule[flag] ? [kind] : []))
      .sort();
  expect(having('isWork')).toEqual(['closingDone', 'decided', 'partFitted', 'proofDone', 'stepDone']);
  expect(having('movesJob')).toEqual(['closed', 'reopened', 'takenIn', 'withdrawn']);
});

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
  [{ kind: 'partArrived', gear: 'wheel', order: OTHER }, 'gear'],
  [{ kind: 'partAccepted', gear: 'wheel', order: OTHER, partNumber: 'QB-1' }, 'gear'],
  [{ kind: 'remark', text: 'x', gear: 'wheel' }, 'gear'],
  [{ kind: 'faultFound', fault: pack.faults[0]?.id ?? '', probability: 1 }, 'fault'],
  [decided, 'fault'],
  [{ kind: 'closingDone', step: closing }, 'step'],
  [{ kind: 'closingDone', step: 'front-out' }, 'step'],
  [{ kind: 'proofDone', proof, passed: true }, 'proof'],
];

test.each(NAMED)('%j is taken, and refused with another %s', (payload, field) => {
  expect(refusal(payload)).toBeNull();
  expect(refusal({ ...payload, [field]: 'gremlins' })).toMatchObject({
    code: 'unknownId',
    path: `payload.${field}`,
    detail: { given: 'gremlins', known: expect.stringMatching(/^[\w-]+/) as string },
  });
});

test('a capture says something, or why it was left out', () => {
  const { text: _, ...empty } = captured;
  expect(refusal(empty)).toMatchObject({ code: 'missing', path: 'payload.text' });
  for (const more of [{ text: 'x' }, { value: 0 }, { skipped: 'dark' }]) expect(refusal({ ...empty, ...more })).toBeNull();
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
