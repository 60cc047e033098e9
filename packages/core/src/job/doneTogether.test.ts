import { findFamily } from '@patient-badger/knowledge';
import { reassembly } from '../access/reassembly.ts';
import type { Pack } from '../trace/pack.ts';
import { piecesTogether, stepsTogether } from './doneTogether.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const by = (...payloads: EntryPayload[]) => jobOf(payloads.map((each) => ['tobin', each] as const));
const read = (...cautions: string[]): EntryPayload[] => cautions.map((caution) => ({ kind: 'cautionAcknowledged', caution }));
const steps = (...ids: string[]) => ids.flatMap((id) => saw.steps.find((step) => step.id === id) ?? []);
const row = steps('lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off', 'drum-off');
const ids = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);

test('a row is done by one press up to what asks for something: a caution, a position, a left-hand thread', () => {
  expect(ids(stepsTogether(saw, row, by(...read('plug-lead-off'))))).toEqual(['lead-off']);
  // The chain's way is taken down before the bar comes off.
  expect(ids(stepsTogether(saw, row, by(...read('plug-lead-off', 'chain-covered'))))).toEqual(['lead-off', 'cover-off']);
  const taken: EntryPayload = { kind: 'captured', step: 'bar-off', capture: 'chain-way', text: 'to the tip on top' };
  expect(ids(stepsTogether(saw, row, by(...read('plug-lead-off', 'chain-covered'), taken)))).toEqual([
    'lead-off',
    'cover-off',
    'bar-off',
    'piston-held',
  ]);
  expect(ids(stepsTogether(saw, row.slice(4), by()))).toEqual(['clutch-off']);
});

test('nothing is called done behind what has to wait', () => {
  const tank = steps('lead-off', 'tank-drained', 'cover-off');
  expect(ids(stepsTogether(saw, tank, by(...read('plug-lead-off', 'chain-covered', 'fuel-drained'))))).toEqual([
    'lead-off',
    'tank-drained',
  ]);
});

test('the way back stops at what has to be set, and never covers a position that is not back', () => {
  const opened = row.map(({ id }): EntryPayload => ({ kind: 'stepDone', step: id }));
  const cautions = read('plug-lead-off', 'chain-covered', 'hot-oil-solvent', 'flying-clip');
  const decided: EntryPayload = { kind: 'decided', fault: 'drum-stands', remedy: 'adjust', probability: 0.9 };
  const state = by(...cautions, ...opened, decided);
  const back = reassembly(saw, state.reached);
  expect(ids(back).slice(0, 3)).toEqual(['clean-out', 'drum-on', 'clutch-on']);
  // A left-hand thread on the way back is done by itself.
  expect(ids(piecesTogether(saw, back, state))).toEqual(['clean-out', 'drum-on']);
  expect(ids(piecesTogether(saw, back.slice(2), state))).toEqual(['clutch-on']);
  const photo: EntryPayload = { kind: 'captured', step: 'drum-off', capture: 'order', text: 'as it lay' };
  expect(ids(piecesTogether(saw, back, by(...cautions, ...opened, decided, photo)))).toEqual(['clean-out']);
});
