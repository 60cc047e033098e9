import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '../trace/pack.ts';
import { captureRecords } from './captures.ts';
import type { EntryPayload } from './entry.ts';
import { jobOf } from './jobOf.ts';
import { jobLedger, openLedger } from './ledger.ts';

const pack = findFamily('trimmer-bevel-head') as Pack;
const after = (...payloads: EntryPayload[]) => jobOf(payloads.map((payload) => ['wren', payload]));
const open: EntryPayload = { kind: 'stepDone', step: 'head-off' };
const shut: EntryPayload = { kind: 'closingDone', step: 'head-on' };

test('a job’s ledger follows its entries: off, back, and taken back again', () => {
  expect(openLedger(pack, after(open)).map(({ item }) => item.id)).toEqual(['clamp-screw', 'locating-screw']);
  expect(openLedger(pack, after(open, shut))).toEqual([]);
  const withdrawn = after(open, shut, { kind: 'withdrawn', entry: '0197a000-0000-7000-8000-000000000001' });
  expect(openLedger(pack, withdrawn)).toHaveLength(2);
});

test('the sheet’s torque stands beside its screw, the last one noted', () => {
  const torque = (value: number): EntryPayload => ({
    kind: 'torqueNoted',
    step: 'head-off',
    item: 'clamp-screw',
    torque: { value, unit: 'N·m', source: 'sheet 4' },
  });
  const line = jobLedger(pack, after(open, torque(8), torque(9))).find(({ item }) => item.id === 'clamp-screw');
  expect(line?.item.torque).toEqual({ value: 9, unit: 'N·m', source: 'sheet 4' });
});

test('a step that is stuck is so until it is done, or passed over without bringing anything off', () => {
  const stuck = after({ kind: 'stepStuck', step: 'head-off', snag: 'seized-screw' });
  expect([stuck.stuck.map(({ step }) => step), stuck.reached]).toEqual([['head-off'], []]);
  expect(after({ kind: 'stepStuck', step: 'head-off', snag: 'seized-screw' }, open).stuck).toEqual([]);
  const skipped = after({ kind: 'stepSkipped', step: 'head-off', reason: 'came without' });
  expect([skipped.reached, jobLedger(pack, skipped)]).toEqual([['head-off'], []]);
});

test('a position counts as taken by words, by a figure or by a photo, and wants restoring unless it was left out', () => {
  const records = (...payloads: EntryPayload[]) => captureRecords(pack, ['head-open'], after(...payloads));
  const at = { step: 'head-open', capture: 'shim-order' } as const;
  expect(records().map(({ taken }) => taken)).toEqual([false, false]);
  expect(records({ kind: 'captured', ...at, text: 'thin one outside' })[0]).toMatchObject({
    taken: true,
    toRestore: true,
    restored: false,
  });
  expect(records({ kind: 'photoTaken', hash: 'a'.repeat(64), about: 'head-open/shim-order' })[0]).toMatchObject({
    taken: true,
    photos: ['a'.repeat(64)],
  });
  expect(records({ kind: 'captured', ...at, skipped: 'no shims in it' })[0]).toMatchObject({ taken: true, toRestore: false });
  const later = { kind: 'captured', ...at, skipped: 'no hand free', later: true } as const;
  expect(records(later)[0]).toMatchObject({ taken: true, toRestore: false, later: true });
  expect(records(later, { kind: 'captured', ...at, text: 'x' })[0]).toMatchObject({ toRestore: true, later: false });
  const back = records({ kind: 'captured', ...at, text: 'x' }, { kind: 'captureConfirmed', ...at, ok: true })[0];
  expect(back).toMatchObject({ restored: true });
  expect(records({ kind: 'captureConfirmed', ...at, ok: true }, { kind: 'captureConfirmed', ...at, ok: false })[0]).toMatchObject({
    restored: false,
  });
});

test('of the lines on a photo the last drawing counts', () => {
  const hash = 'b'.repeat(64);
  const drawn = (x: number): EntryPayload => ({ kind: 'photoMarked', hash, strokes: [[[x, 0.5]]] });
  expect(after(drawn(0.1), drawn(0.9)).photoMarks[hash]).toEqual([[[0.9, 0.5]]]);
});
