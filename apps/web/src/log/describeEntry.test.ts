import { t as access } from '@patient-badger/wording/access';
import { t as gearWords } from '@patient-badger/wording/gear';
import { t as log } from '@patient-badger/wording/log';
import { t as ratio } from '@patient-badger/wording/ratio';
import { t as setup } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { t as strength } from '@patient-badger/wording/strength';
import type { ScanRead } from '@patient-badger/core/gear';
import { entryPayload, type EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { describeEntry } from './describeEntry.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const ID = '0197a000-0000-7000-8000-000000000001';

const SCANNED: ScanRead = {
  read: true,
  teeth: 24,
  teethPresent: 22,
  confidence: 1,
  centre: { xPx: 100, yPx: 100 },
  tipRadiusPx: 80,
  rootRadiusPx: 70,
  rim: { longPx: 80, shortPx: 80, axisDeg: 0 },
  tiltDeg: 0,
  flaws: [],
  counts: { outline: 24, edges: 24, shading: 24 },
  corrected: ['teeth'],
};

const LINES: readonly [EntryPayload, string][] = [
  [{ kind: 'takenIn', machineId: ID, family: pack.id, complaint: 'dry', facts: {} }, log.takenIn('dry')],
  [{ kind: 'lookRecorded', look: 'tank-level', result: 'full' }, 'Look into the oil tank: Full, has not gone down'],
  [{ kind: 'lookRecorded', look: 'worm-watch-pinion', result: 'less' }, 'Turn the worm, watch the pinion: It moves now and then, jumps'],
  [{ kind: 'lookRecorded', look: 'tank-level', result: 'cannot-tell' }, 'Look into the oil tank: Could not tell'],
  [
    { kind: 'lookRecorded', look: 'tank-level', result: 'full', reading: { instrument: 'eye', value: 12.5, unit: 'mm' } },
    'Look into the oil tank: Full, has not gone down (12.5 mm)',
  ],
  [{ kind: 'stepSkipped', step: 'drum-off', reason: 'off already' }, 'Passed over: Drum off (off already)'],
  [{ kind: 'stepStuck', step: 'drum-off', snag: 'rusted-clip' }, 'Will not come: Drum off (Clip rusted into its groove)'],
  [
    { kind: 'captured', step: 'worm-out', capture: 'face', text: 'pen' },
    'Taken down: Mark the outer face of the worm and where its arm pointed pen',
  ],
  [{ kind: 'captureConfirmed', step: 'worm-out', capture: 'face', ok: true }, 'Marked face outside, arm where it pointed: yes'],
  [
    { kind: 'looseNoted', step: 'cover-off', item: 'bar-nuts', what: 'missingBefore', count: 1 },
    access.missingBeforeWeCame('1 × Bar nuts:'),
  ],
  [
    { kind: 'torqueNoted', step: 'cover-off', item: 'bar-nuts', torque: { value: 16, unit: 'N·m', source: 'sheet 4' } },
    log.torqueNoted('Bar nuts', 16, 'N·m', 'sheet 4'),
  ],
  [{ kind: 'waitStarted', wait: 'tank-empty', minutes: 5, source: 'the sheet' }, log.timeStartedMinBy('Tank runs out', 5, 'the sheet')],
  [{ kind: 'waitCut', wait: 'tank-empty', reason: 'was empty' }, 'Not waited for: Tank runs out (was empty)'],
  [{ kind: 'extraDone', extra: 'filter-new' }, log.doneWhileOpen('Pick-up filter')],
  [{ kind: 'photoMarked', hash: 'a'.repeat(64), strokes: [] }, log.marksDrawnOnAPhoto],
  [{ kind: 'faultFound', fault: 'chips-packed', probability: 0.9 }, 'Found: Chips and gummed oil packed round the worm'],
  [{ kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.4, note: 'Nut in the oilway' }, 'Decided: Nut in the oilway'],
  [
    { kind: 'ownLookRecorded', saw: 'oil inside the cover', fault: 'worm-stripped', speaks: 'for', sure: 'very' },
    'Seen: “oil inside the cover”, for Worm threads smeared or stripped',
  ],
  [{ kind: 'findingLeft', look: 'tank-level', reason: 'spilled' }, 'Left at that: Look into the oil tank (spilled)'],
  [{ kind: 'stepDone', step: 'drum-off' }, log.opened('Drum off')],
  [{ kind: 'promised', on: '2026-12-01' }, shared.promisedFor('2026-12-01')],
  [{ kind: 'promised', on: null }, log.promisedForNoDayAny],
  [
    { kind: 'itemAdded', name: setup.lipSeal, count: 2, state: 'ordered', partNumber: 'QB-9', supplier: 'Hobdray Stores' },
    'Ordered: 2 × Lip seal (QB-9), Hobdray Stores',
  ],
  [{ kind: 'itemAdded', name: 'Pin', count: 1, state: 'inHand' }, 'From the shop: Pin'],
  [{ kind: 'itemOrdered', item: ID, supplier: 'Hobdray Stores' }, log.aPartThatWasNeeded('Hobdray Stores')],
  [
    {
      kind: 'optionKept',
      option: 'replace',
      optionKind: 'replace',
      name: 'New worm',
      partsMinor: 900,
      minutes: 30,
      leadDays: 2,
      lifeMean: 400,
      lifeShape: 2,
      comeBackRisk: 0.1,
      downtimeDays: 0,
      leaves: '',
      why: 'x',
    },
    log.wayToGoOn('New worm'),
  ],
  [{ kind: 'optionDropped', option: 'x' }, log.aWayToGoOn],
  [{ kind: 'useAssumed', perYear: 80, unit: 'hours', horizonYears: 5, costPerDownDayMinor: 0 }, 'Used 80 hours a year, kept 5 years'],
  [{ kind: 'quoteMade', validUntil: '2026-12-10', options: ['replace'] }, log.quoteWrittenValidUntil('2026-12-10')],
  [{ kind: 'quoteAnswered', option: 'donor', by: 'paper', who: 'Imke' }, log.theOwnerSaidTo(shared.onPaper, 'donor', 'Imke')],
  [{ kind: 'sleeveTried', sleeveDeg: 40, backlashMm: { value: 0.2, plusMinus: 0.01 } }, log.sleeveAtMmOfBacklash(40, 0.2)],
  [{ kind: 'settingMade', setting: 'shims', figures: '0.5 mm in', source: 'sheet 3' }, 'Set: 0.5 mm in (sheet 3)'],
  [{ kind: 'partSaved', gear: 'worm', way: 'bond', figures: 'bond: gap 0.05 mm' }, 'Oil pump worm saved: bond: gap 0.05 mm'],
  [
    { kind: 'gearMade', gear: 'worm', file: 'gear-20-m2.3mf', material: strength.nylonDry },
    'Oil pump worm drawn: gear-20-m2.3mf, nylon, dry',
  ],
  [{ kind: 'itemArrived', item: ID }, log.aPartArrived],
  [
    {
      kind: 'itemMeasured',
      item: ID,
      quantity: 'widthMm',
      instrument: 'digitalCaliper',
      entered: '7.02 mm',
      reading: { value: 7.02, plusMinus: 0.03 },
    },
    log.ofAPartThatCame(shared.width, '7.02 mm'),
  ],
  [{ kind: 'itemAccepted', item: ID }, log.aPartAcceptedAsOrdered],
  [{ kind: 'itemRefused', item: ID, deciding: 'widthMm', note: '+3 mm' }, log.aPartRefused('width', '+3 mm')],
  [{ kind: 'itemFitted', item: ID }, log.aPartFitted],
  [{ kind: 'proofDone', proof: 'paper-proof', passed: true, figure: 8 }, 'Paper test passes: yes (8 s)'],
  [{ kind: 'proofDone', proof: 'paper-proof', passed: false, points: [{ reference: 50, shown: 52 }] }, 'Paper test passes: no (52 at 50)'],
  [
    { kind: 'followUpSet', action: 'call', what: 'does it still oil?', due: '2026-12-24' },
    'To ask the owner, 2026-12-24: does it still oil?',
  ],
  [{ kind: 'followUpSet', action: 'look', what: 'dry beneath', due: '2026-12-01' }, 'To look at again, 2026-12-01: dry beneath'],
  [{ kind: 'followUpDone', followUp: ID, passed: false, note: 'a drop' }, log.lookedAtAgain('', 'it does not hold (a drop)')],
  [
    { kind: 'intervalSet', what: setup.grease, every: { days: 365, units: 50 }, unit: 'hours', source: 'sheet' },
    'Due again: Grease, every 50 hours or 365 days (sheet)',
  ],
  [{ kind: 'labourNoted', minutes: 25, what: 'freed the drum' }, log.workedMin(25, 'freed the drum')],
  [
    { kind: 'ownLooseAdded', step: 'drum-off', name: 'spacer', part: 'part', count: 1, lives: 'behind the drum' },
    'Comes off too: 1 × spacer (behind the drum)',
  ],
  [{ kind: 'ownCaptureAdded', step: 'drum-off', ask: 'Which way up?', back: 'That way up?' }, log.toBeTakenDownToo('Which way up?')],
  [{ kind: 'ownStepAdded', name: 'Guard off', how: 'x', minutes: 3 }, log.aStepOfThisMachine('Guard off')],
  [
    { kind: 'cautionAcknowledged', caution: 'flying-clip' },
    'Caution confirmed: A clip or circlip can fly: eye protection on, a rag over it.',
  ],
  [
    {
      kind: 'dimensionRead',
      gear: 'worm',
      quantity: 'axialPitch',
      reading: { value: 12.57, plusMinus: 0.03 },
      over: 4,
      instrument: 'digitalCaliper',
      entered: '12.57 mm',
    },
    'Pitch along the worm: 12.57 mm over 4',
  ],
  [{ kind: 'teethScanned', gear: 'worm', hash: 'a'.repeat(64), found: SCANNED }, log.countedOnAPhotoTeeth(24, 22, shared.putRightByHand)],
  [{ kind: 'seatRead', gear: 'worm', shape: 'dFlat', bore: {}, shaft: {} }, log.seatOnTheShaftMeasured('D')],
  [{ kind: 'arcsNoted', gear: 'worm', teeth: 41, from: 3, to: 11, needTeeth: 9 }, log.teethThatHaveWorkedTo(3, 11, 41)],
  [
    { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 22, readingErrorPercent: 2.004, basis: '185/65R14' },
    log.speedometerGearsDriveDrivenReads(7, 22, '2.0 % high', '185/65R14'),
  ],
  [
    { kind: 'odometerCorrected', before: 100, after: 220, missed: 120, unit: 'km', reason: 'stood still' },
    log.odometerBroughtForwardTo(100, 220, 'km', 'stood still'),
  ],
  [{ kind: 'limitNoted', gear: 'worm', thinningMm: 0.15, source: 'sheet 4' }, log.limitNotedMmThinner(0.15, 'sheet 4')],
  [{ kind: 'handNoted', gear: 'worm', hand: 'left' }, gearWords.leftHandThread],
  [
    { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' },
    log.lookedOverFromOutsideBy('Edda Brask', 'Inspector 4411', '', '2026-03-02'),
  ],
  [{ kind: 'photoTaken', hash: 'a'.repeat(64), about: 'tank-level' }, log.photoTaken],
  [{ kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.9 }, 'Decided: Chips and gummed oil packed round the worm'],
  [
    { kind: 'partChosen', gear: 'worm', partId: ID, partNumber: 'QB-7700-K', name: ratio.worm, probability: 0.9 },
    log.partChosen('QB-7700-K'),
  ],
  [
    {
      kind: 'partOrdered',
      gear: 'worm',
      partId: ID,
      partNumber: 'QB-7700-K',
      name: ratio.worm,
      supplier: 'Hobdray Stores',
      attributes: {},
    },
    log.orderedFrom('QB-7700-K', 'Hobdray Stores'),
  ],
  [{ kind: 'partArrived', gear: 'worm', order: ID }, log.thePartArrived],
  [{ kind: 'partAccepted', gear: 'worm', order: ID, partNumber: 'QB-7700-K' }, log.acceptedAsOrdered('QB-7700-K')],
  [
    {
      kind: 'partRefused',
      gear: 'worm',
      order: ID,
      partNumber: 'QB-7700-K',
      deciding: 'faceWidthMm',
      difference: 2,
      note: '2 mm too wide',
    },
    'Refused: QB-7700-K, face width (2 mm too wide)',
  ],
  [{ kind: 'partFitted', gear: 'worm', partId: ID, partNumber: 'QB-7700-K' }, log.partFitted('', 'QB-7700-K')],
  [
    { kind: 'partFitted', gear: 'worm', partId: ID, partNumber: 'Oil pump worm', source: 'shelf' },
    'Part fitted: Oil pump worm, off the shelf',
  ],
  [
    { kind: 'plateRead', partNumber: 'QB-7700-K', where: 'under the bar cover', gear: 'worm' },
    log.readOffTheMachine('QB-7700-K', 'under the bar cover'),
  ],
  [{ kind: 'closingDone', step: 'drum-on' }, 'Closed up: Washer, needle bearing, drum'],
  [{ kind: 'proofDone', proof: 'paper-proof', passed: false }, 'Paper test passes: no'],
  [{ kind: 'secondChecked', note: 'nuts and mesh' }, log.secondCheckDone(': nuts and mesh')],
  [{ kind: 'remark', text: 'smells of plant oil' }, 'smells of plant oil'],
  [{ kind: 'closed', outcome: 'cleaned', found: 'chips' }, log.jobClosed('chips')],
  [{ kind: 'reopened', reason: 'dry again' }, log.jobOpenedAgain],
  [{ kind: 'withdrawn', entry: ID }, log.takenBack],
];

test.each(LINES)('%j', (payload, words) => expect(describeEntry(payload, pack)).toBe(words));

test('every kind of entry has its line here', () => {
  const kinds = entryPayload.options.map((option) => option.shape.kind.value);
  expect(new Set(LINES.map(([{ kind }]) => kind))).toEqual(new Set(kinds));
});
