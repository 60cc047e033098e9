import { findFamily } from '@patient-badger/knowledge';
import { CoreFailure } from '../failure/CoreFailure.ts';
import type { Pack } from '../trace/pack.ts';
import { checkEntry, ENTRY_RULES } from './entryKinds.ts';
import { entryPayload } from './entry.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const PART = '0197a000-0000-7000-8000-0000000000bb';

function pathOf(payload: unknown): string | null {
  try {
    checkEntry(entryPayload.parse(payload), pack);
    return null;
  } catch (error) {
    if (error instanceof CoreFailure) return error.path;
    throw error;
  }
}

const reading = { value: 20, plusMinus: 0.03 };

test.each([
  [{ kind: 'lookRecorded', look: 'tank-level', result: 'full' }],
  [{ kind: 'lookRecorded', look: 'worm-watch-pinion', result: 'less' }],
  [{ kind: 'lookRecorded', look: 'tank-level', result: 'cannot-tell' }],
  [{ kind: 'stepDone', step: 'drum-off' }],
  [{ kind: 'dimensionRead', gear: 'worm', quantity: 'tipDiameterMm', reading, instrument: 'digitalCaliper', entered: '20 mm' }],
  [{ kind: 'remark', text: 'whatever' }],
  [{ kind: 'plateRead', partNumber: 'QB-1-K', where: 'under the seat' }],
  [{ kind: 'plateRead', partNumber: 'QB-1-K', where: 'on the pump', gear: 'worm' }],
  [{ kind: 'faultFound', fault: 'chips-packed', probability: 0.9 }],
  [{ kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.5, note: 'a nut in the oilway' }],
])('takes %j', (payload) => expect(pathOf(payload)).toBeNull());

test.each([
  [{ kind: 'lookRecorded', look: 'x-ray', result: 'full' }, 'payload.look'],
  [{ kind: 'lookRecorded', look: 'tank-level', result: 'turns' }, 'payload.result'],
  [{ kind: 'stepDone', step: 'engine-out' }, 'payload.step'],
  [{ kind: 'cautionAcknowledged', caution: 'dragons' }, 'payload.caution'],
  [
    { kind: 'dimensionRead', gear: 'wheel', quantity: 'tipDiameterMm', reading, instrument: 'digitalCaliper', entered: '20 mm' },
    'payload.gear',
  ],
  [{ kind: 'partFitted', gear: 'wheel', partId: PART, partNumber: 'QB-1-K' }, 'payload.gear'],
  [{ kind: 'plateRead', partNumber: 'QB-1-K', where: 'on the pump', gear: 'wheel' }, 'payload.gear'],
  [{ kind: 'decided', fault: 'gremlins', remedy: 'clean', probability: 1 }, 'payload.fault'],
  [{ kind: 'faultFound', fault: 'gremlins', probability: 1 }, 'payload.fault'],
  [{ kind: 'decided', fault: 'none-of-these', remedy: 'other', probability: 0.5 }, 'payload.note'],
  [{ kind: 'closingDone', step: 'polish' }, 'payload.step'],
  [{ kind: 'proofDone', proof: 'moonwalk', passed: true }, 'payload.proof'],
])('refuses %j', (payload, path) => expect(pathOf(payload)).toBe(path));

test('these kinds are work, and these change what lists show', () => {
  const having = (flag: 'isWork' | 'changesRow' | 'changesWhatWasSeen' | 'isDesk') =>
    Object.entries(ENTRY_RULES)
      .flatMap(([kind, rule]) => (rule[flag] ? [kind] : []))
      .sort();
  expect(having('isWork')).toEqual([
    'closingDone',
    'decided',
    'extraDone',
    'gearMade',
    'itemFitted',
    'labourNoted',
    'partFitted',
    'partSaved',
    'proofDone',
    'settingMade',
    'sleeveTried',
    'stepDone',
  ]);
  expect(having('changesWhatWasSeen')).toEqual([
    'captureConfirmed',
    'captured',
    'looseNoted',
    'ownCaptureAdded',
    'ownLooseAdded',
    'ownStepAdded',
    'stepSkipped',
    'stepStuck',
    'torqueNoted',
    'waitCut',
    'waitStarted',
  ]);
  expect(having('isDesk')).toEqual([
    'closed',
    'outsideChecked',
    'promised',
    'quoteAnswered',
    'quoteMade',
    'reopened',
    'secondChecked',
    'takenIn',
    'useAssumed',
  ]);
  expect(having('changesRow')).toEqual([
    'closed',
    'followUpDone',
    'followUpSet',
    'partSaved',
    'promised',
    'reopened',
    'takenIn',
    'withdrawn',
  ]);
});
