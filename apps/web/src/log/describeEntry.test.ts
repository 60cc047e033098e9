import { t as ratio } from '@patient-badger/wording/ratio';
import { t as setup } from '@patient-badger/wording/setup';
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

const ENTRIES: readonly EntryPayload[] = [
  { kind: 'takenIn', machineId: ID, family: pack.id, complaint: 'dry', facts: {} },
  { kind: 'lookRecorded', look: 'tank-level', result: 'full' },
  { kind: 'lookRecorded', look: 'worm-watch-pinion', result: 'less' },
  { kind: 'lookRecorded', look: 'tank-level', result: 'cannot-tell' },
  { kind: 'lookRecorded', look: 'tank-level', result: 'full', reading: { instrument: 'eye', value: 12.5, unit: 'mm' } },
  { kind: 'stepSkipped', step: 'drum-off', reason: 'off already' },
  { kind: 'stepStuck', step: 'drum-off', snag: 'rusted-clip' },
  { kind: 'captured', step: 'worm-out', capture: 'face', text: 'pen' },
  { kind: 'captureConfirmed', step: 'worm-out', capture: 'face', ok: true },
  { kind: 'looseNoted', step: 'cover-off', item: 'bar-nuts', what: 'missingBefore', count: 1 },
  { kind: 'torqueNoted', step: 'cover-off', item: 'bar-nuts', torque: { value: 16, unit: 'N·m', source: 'sheet 4' } },
  { kind: 'waitStarted', wait: 'tank-empty', minutes: 5, source: 'the sheet' },
  { kind: 'waitCut', wait: 'tank-empty', reason: 'was empty' },
  { kind: 'extraDone', extra: 'filter-new' },
  { kind: 'photoMarked', hash: 'a'.repeat(64), strokes: [] },
  { kind: 'faultFound', fault: 'chips-packed', probability: 0.9 },
  { kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.4, note: 'Nut in the oilway' },
  { kind: 'ownLookRecorded', saw: 'oil inside the cover', fault: 'worm-stripped', speaks: 'for', sure: 'very' },
  { kind: 'findingLeft', look: 'tank-level', reason: 'spilled' },
  { kind: 'stepDone', step: 'drum-off' },
  { kind: 'promised', on: '2026-12-01' },
  { kind: 'promised', on: null },
  { kind: 'itemAdded', name: setup.lipSeal, count: 2, state: 'ordered', partNumber: 'QB-9', supplier: 'Hobdray Stores' },
  { kind: 'itemAdded', name: 'Pin', count: 1, state: 'inHand' },
  { kind: 'itemOrdered', item: ID, supplier: 'Hobdray Stores' },
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
  { kind: 'optionDropped', option: 'x' },
  { kind: 'useAssumed', perYear: 80, unit: 'hours', horizonYears: 5, costPerDownDayMinor: 0 },
  { kind: 'quoteMade', validUntil: '2026-12-10', options: ['replace'] },
  { kind: 'quoteAnswered', option: 'donor', by: 'paper', who: 'Imke' },
  { kind: 'sleeveTried', sleeveDeg: 40, backlashMm: { value: 0.2, plusMinus: 0.01 } },
  { kind: 'settingMade', setting: 'shims', figures: '0.5 mm in', source: 'sheet 3' },
  { kind: 'partSaved', gear: 'worm', way: 'bond', figures: 'bond: gap 0.05 mm' },
  { kind: 'gearMade', gear: 'worm', file: 'gear-20-m2.3mf', material: strength.nylonDry },
  { kind: 'itemArrived', item: ID },
  {
    kind: 'itemMeasured',
    item: ID,
    quantity: 'widthMm',
    instrument: 'digitalCaliper',
    entered: '7.02 mm',
    reading: { value: 7.02, plusMinus: 0.03 },
  },
  { kind: 'itemAccepted', item: ID },
  { kind: 'itemRefused', item: ID, deciding: 'widthMm', note: '+3 mm' },
  { kind: 'itemFitted', item: ID },
  { kind: 'proofDone', proof: 'paper-proof', passed: true, figure: 8 },
  { kind: 'proofDone', proof: 'paper-proof', passed: false, points: [{ reference: 50, shown: 52 }] },
  { kind: 'followUpSet', action: 'call', what: 'does it still oil?', due: '2026-12-24' },
  { kind: 'followUpSet', action: 'look', what: 'dry beneath', due: '2026-12-01' },
  { kind: 'followUpDone', followUp: ID, passed: false, note: 'a drop' },
  { kind: 'intervalSet', what: setup.grease, every: { days: 365, units: 50 }, unit: 'hours', source: 'sheet' },
  { kind: 'labourNoted', minutes: 25, what: 'freed the drum' },
  { kind: 'ownLooseAdded', step: 'drum-off', name: 'spacer', part: 'part', count: 1, lives: 'behind the drum' },
  { kind: 'ownCaptureAdded', step: 'drum-off', ask: 'Which way up?', back: 'That way up?' },
  { kind: 'ownStepAdded', name: 'Guard off', how: 'x', minutes: 3 },
  { kind: 'cautionAcknowledged', caution: 'flying-clip' },
  {
    kind: 'dimensionRead',
    gear: 'worm',
    quantity: 'axialPitch',
    reading: { value: 12.57, plusMinus: 0.03 },
    over: 4,
    instrument: 'digitalCaliper',
    entered: '12.57 mm',
  },
  { kind: 'teethScanned', gear: 'worm', hash: 'a'.repeat(64), found: SCANNED },
  { kind: 'seatRead', gear: 'worm', shape: 'dFlat', bore: {}, shaft: {} },
  { kind: 'arcsNoted', gear: 'worm', teeth: 41, from: 3, to: 11, needTeeth: 9 },
  { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 22, readingErrorPercent: 2.004, basis: '185/65R14' },
  { kind: 'odometerCorrected', before: 100, after: 220, missed: 120, unit: 'km', reason: 'stood still' },
  { kind: 'limitNoted', gear: 'worm', thinningMm: 0.15, source: 'sheet 4' },
  { kind: 'handNoted', gear: 'worm', hand: 'left' },
  { kind: 'outsideChecked', checker: 'Edda Brask', licence: 'Inspector 4411', on: '2026-03-02' },
  { kind: 'photoTaken', hash: 'a'.repeat(64), about: 'tank-level' },
  { kind: 'decided', fault: 'chips-packed', remedy: 'clean', probability: 0.9 },
  { kind: 'partChosen', gear: 'worm', partId: ID, partNumber: 'QB-7700-K', name: ratio.worm, probability: 0.9 },
  {
    kind: 'partOrdered',
    gear: 'worm',
    partId: ID,
    partNumber: 'QB-7700-K',
    name: ratio.worm,
    supplier: 'Hobdray Stores',
    attributes: {},
  },
  { kind: 'priceAsked', gear: 'worm', what: ratio.worm, supplier: 'Hobdray Stores', priceMinor: 2450, leadDays: 6 },
  { kind: 'partArrived', gear: 'worm', order: ID },
  { kind: 'partAccepted', gear: 'worm', order: ID, partNumber: 'QB-7700-K' },
  {
    kind: 'partRefused',
    gear: 'worm',
    order: ID,
    partNumber: 'QB-7700-K',
    deciding: 'faceWidthMm',
    difference: 2,
    note: '2 mm too wide',
  },
  { kind: 'partFitted', gear: 'worm', partId: ID, partNumber: 'QB-7700-K' },
  { kind: 'partFitted', gear: 'worm', partId: ID, partNumber: 'Oil pump worm', source: 'shelf' },
  { kind: 'plateRead', partNumber: 'QB-7700-K', where: 'under the bar cover', gear: 'worm' },
  { kind: 'closingDone', step: 'drum-on' },
  { kind: 'proofDone', proof: 'paper-proof', passed: false },
  { kind: 'secondChecked', note: 'nuts and mesh' },
  { kind: 'remark', text: 'smells of plant oil' },
  { kind: 'closed', outcome: 'cleaned', found: 'chips' },
  { kind: 'reopened', reason: 'dry again' },
  { kind: 'withdrawn', entry: ID },
];

// Each line stands as it is read: an edit of the words shows here as what it is, and is taken over with -u.
test('every entry is a line of the log', () => {
  expect(ENTRIES.map((payload) => `${payload.kind}: ${describeEntry(payload, pack)}`)).toMatchSnapshot();
});

test('every kind of entry has its line here', () => {
  const kinds = entryPayload.options.map((option) => option.shape.kind.value);
  expect(new Set(ENTRIES.map(({ kind }) => kind))).toEqual(new Set(kinds));
});

test('what a family no longer knows stands for itself', () => {
  expect(describeEntry({ kind: 'stepDone', step: 'gone' }, pack)).toContain('gone');
  expect(describeEntry({ kind: 'captured', step: 'gone', capture: 'face', skipped: 'no light' }, pack)).toContain('face');
});
