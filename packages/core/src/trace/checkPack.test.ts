import { findFamily } from '@patient-badger/knowledge';
import type { CoreFailure } from '../failure/CoreFailure.ts';
import { refusalOf } from '../testing.ts';
import { checkPack } from './checkPack.ts';
import { packSchema, type Pack } from './pack.ts';

const sound = findFamily('saw-oil-pump') as Pack;

function refusal(change: (pack: Pack) => void): CoreFailure {
  const pack = packSchema.parse(JSON.parse(JSON.stringify(sound)));
  change(pack);
  return refusalOf(() => checkPack(pack));
}

const first = <T>(list: readonly T[]): T => list[0] as T;

test.each([
  ['a look at a place that is not there', (pack: Pack) => (first(pack.looks).at = 'moon'), 'looks.0.at'],
  ['a fault at a place that is not there', (pack: Pack) => (first(pack.faults).at = 'moon'), 'faults.0.at'],
  ['two faults of one name', (pack: Pack) => ((pack.faults[1] as Pack['faults'][number]).id = first(pack.faults).id), 'faults.1.id'],
  ['shares that do not add up', (pack: Pack) => (first(first(pack.faults).modes).share = 0.9), 'faults.0.modes'],
  ['steps that need each other', (pack: Pack) => first(pack.steps).needs.push('pump-out'), 'steps.0.needs'],
  ['a caution nobody wrote', (pack: Pack) => first(pack.steps).cautions.push('dragons'), 'steps.0.cautions.1'],
  ['a setting at a place that is not there', (pack: Pack) => (first(pack.settings).at = 'moon'), 'settings.0.at'],
  ['a later proof without a day', (pack: Pack) => (first(pack.proofs).phase = 'later'), 'proofs.0.afterDays'],
  ['a figure between nothing', (pack: Pack) => Object.assign(pack.proofs[1]?.figure ?? {}, { min: 11 }), 'proofs.1.figure'],
  ['a proof that repeats no look', (pack: Pack) => Object.assign(pack.proofs[1]?.failing ?? {}, { look: 'moon' }), 'proofs.1.failing.look'],
  [
    'a proof that fails into no result',
    (pack: Pack) => Object.assign(pack.proofs[1]?.failing ?? {}, { result: 'moon' }),
    'proofs.1.failing.result',
  ],
  [
    'a part without a gear card, in a file of one remedy each',
    (pack: Pack) => (first(pack.faults).remedy = { kind: 'replace', text: 'Fit one.', minutes: 5, part: 'unobtainable' }),
    'faults.0.remedy.part',
  ],
])('refuses %s and names the field', (_name, change, path) => {
  expect(refusal((pack) => void change(pack)).path).toBe(path);
});

test('refuses a table with the wrong number of chances', () => {
  const failure = refusal((pack) => {
    const look = pack.looks.find(({ kind }) => kind === 'table');
    if (look?.kind === 'table') look.otherwise = [1];
  });
  expect(failure.path).toMatch(/^looks\.\d+\.otherwise$/);
});
