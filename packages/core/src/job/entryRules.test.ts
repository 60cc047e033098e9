import type { EntryKind, EntryPayload } from './entry.ts';
import { emptyJob, type JobState } from './jobState.ts';
import {
  OTHER,
  added,
  after,
  answered,
  at,
  bentPlate,
  bushing,
  captured,
  caution,
  chosen,
  closed,
  comesBack,
  confirmed,
  decided,
  dimension,
  drawBar,
  fitted,
  hash,
  id,
  isOwn,
  isComingBack,
  isFollowed,
  isTested,
  item,
  kept,
  look,
  loose,
  m,
  made,
  odometer,
  optionKept,
  order,
  plate,
  price,
  proof,
  quote,
  ratio,
  refused,
  result,
  saved,
  scan,
  seat,
  set,
  followUp,
  interval,
  lookedAgain,
  shimSide,
  stored,
  stuck,
  taken,
  tested,
  torque,
  tried,
  used,
  wheel,
  written,
} from './entrySamples.ts';

/** For each kind: what is written, and all that the job is otherwise than before it. */
const WRITTEN: { readonly [K in EntryKind]: readonly (readonly [payloads: readonly EntryPayload[], change: Partial<JobState>])[] } = {
  takenIn: [[[taken], { takenIn: taken, takenInAt: at(0), facts: { hours: 12 } }]],
  findingLeft: [[[{ kind: 'findingLeft', look: look?.id ?? '', reason: 'paint' }], { left: [{ look: look?.id ?? '', reason: 'paint' }] }]],
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
  priceAsked: [[[price, { ...price, priceMinor: 800 }], { prices: [{ ...price, priceMinor: 800, at: at(1) }] }]],
  photoTaken: [[[{ kind: 'photoTaken', hash, about: 'wheel' }], { photos: [{ kind: 'photoTaken', hash, about: 'wheel' }] }]],
  faultFound: [[[{ kind: 'faultFound', fault: 'f', probability: 0.9 }], { found: ['f'] }]],
  decided: [[[decided], { decided }]],
  promised: [
    [[{ kind: 'promised', on: '2026-12-01' }], { promisedOn: '2026-12-01' }],
    [
      [
        { kind: 'promised', on: '2026-12-01' },
        { kind: 'promised', on: null },
      ],
      {},
    ],
  ],
  itemAdded: [[[added], item()]],
  itemOrdered: [
    [
      [added, { kind: 'itemOrdered', item: id(0), supplier: 'Quernby', priceMinor: 900 }],
      item({ state: 'ordered', supplier: 'Quernby', priceMinor: 900 }),
    ],
    [[added, { kind: 'itemOrdered', item: OTHER, supplier: 'Quernby' }], item()],
  ],
  itemArrived: [[[added, { kind: 'itemArrived', item: id(0) }], item({ state: 'arrived' })]],
  itemMeasured: [
    [
      [
        added,
        { kind: 'itemMeasured', item: id(0), quantity: 'widthMm', reading: m, instrument: 'digitalCaliper', entered: '20 mm' },
        { kind: 'itemMeasured', item: id(0), quantity: 'widthMm', reading: m, instrument: 'ruler', entered: '20 mm' },
      ],
      item({
        readings: {
          widthMm: [
            { entryId: id(1), reading: m, instrument: 'digitalCaliper', entered: '20 mm' },
            { entryId: id(2), reading: m, instrument: 'ruler', entered: '20 mm' },
          ],
        },
      }),
    ],
  ],
  itemAccepted: [[[added, { kind: 'itemAccepted', item: id(0) }], item({ state: 'accepted' })]],
  itemRefused: [
    [
      [added, { kind: 'itemRefused', item: id(0), deciding: 'widthMm', note: 'too wide' }],
      item({ state: 'refused', refusal: { kind: 'itemRefused', item: id(0), deciding: 'widthMm', note: 'too wide' } }),
    ],
  ],
  itemFitted: [[[added, { kind: 'itemFitted', item: id(0) }], item({ state: 'fitted' })]],
  labourNoted: [
    [
      [
        { kind: 'labourNoted', minutes: 20, what: 'freed the auger' },
        { kind: 'labourNoted', minutes: 5, what: 'cleaned' },
      ],
      {
        labour: [
          { kind: 'labourNoted', minutes: 20, what: 'freed the auger' },
          { kind: 'labourNoted', minutes: 5, what: 'cleaned' },
        ],
      },
    ],
  ],
  optionKept: [
    [
      [optionKept, { ...optionKept, option: 'mine' }, { ...optionKept, partsMinor: null }],
      {
        options: [
          { ...optionKept, option: 'mine' },
          { ...optionKept, partsMinor: null },
        ],
      },
    ],
    [[{ kind: 'optionDropped', option: 'replace' }, optionKept], { options: [optionKept] }],
  ],
  optionDropped: [
    [
      [optionKept, { kind: 'optionDropped', option: 'replace' }, { kind: 'optionDropped', option: 'replace' }],
      { droppedOptions: ['replace'] },
    ],
  ],
  useAssumed: [[[used, { ...used, perYear: 90 }], { use: { ...used, perYear: 90 } }]],
  quoteMade: [[[quote], { quote: { ...quote, ...written } }]],
  quoteAnswered: [[[answered], { answer: { ...answered, at: at(0) } }]],
  sleeveTried: [
    [
      [tried, { ...tried, sleeveDeg: 90 }],
      {
        sleeveTrials: [
          { ...tried, entryId: id(0) },
          { ...tried, sleeveDeg: 90, entryId: id(1) },
        ],
      },
    ],
  ],
  settingMade: [[[set], { settings: [{ ...set, at: at(0) }] }]],
  partSaved: [
    [[saved], { saved: [{ ...saved, entryId: id(0), at: at(0) }] }],
    [
      [comesBack, { ...lookedAgain }],
      { saved: [{ ...comesBack, entryId: id(0), at: at(0) }], followUps: [isComingBack({ ...lookedAgain, at: at(1) })] },
    ],
  ],
  gearMade: [[[made], { made: [{ ...made, at: at(0) }] }]],
  ownLooseAdded: [[[bushing, bushing], isOwn({ loose: [0, 1].map((n) => ({ ...bushing, id: `own-${id(n)}` })) })]],
  ownCaptureAdded: [[[shimSide], isOwn({ captures: [{ ...shimSide, id: `own-${id(0)}` }] })]],
  ownStepAdded: [[[drawBar], isOwn({ steps: [{ ...drawBar, id: `own-${id(0)}` }] })]],
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
  proofDone: [[[tested(proof, false), tested('x', true), tested(proof, true)], { proofs: [isTested('x', 1), isTested(proof, 2)] }]],
  followUpSet: [[[followUp], { followUps: [{ ...followUp, id: id(0), done: null }] }]],
  followUpDone: [[[followUp, followUp, lookedAgain], { followUps: [isFollowed(0, { ...lookedAgain, at: at(2) }), isFollowed(1, null)] }]],
  intervalSet: [
    [
      [interval, { ...interval, what: 'Oil' }, interval],
      {
        intervals: [
          { ...interval, what: 'Oil', at: at(1) },
          { ...interval, at: at(2) },
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
    const { jobId: _, active: __, withdrawn: ___, written: ____, ...state } = after(...payloads);
    expect(state).toEqual({ ...emptyJob(), ...change });
  },
);
