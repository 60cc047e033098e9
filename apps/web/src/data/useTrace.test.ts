import { foldJob, type Entry, type EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { renderHook } from '@testing-library/react';
import { traceOf, useTrace } from './useTrace.ts';

const JOB = '00000000-0000-4000-8000-000000000001';
const pack = findFamily('saw-oil-pump') as Pack;
const entries = (...payloads: EntryPayload[]): Entry[] =>
  payloads.map((payload, i) => ({
    id: `00000000-0000-4000-8000-0000000001${String(i).padStart(2, '0')}`,
    jobId: JOB,
    at: new Date(Date.UTC(2026, 0, 1, 8, i)).toISOString(),
    by: 'tobin',
    payload,
  }));
const look: EntryPayload = { kind: 'lookRecorded', look: 'oil-feel', result: 'still' };
const reading: EntryPayload = {
  kind: 'dimensionRead',
  gear: 'worm',
  quantity: 'tipDiameterMm',
  reading: { value: 19.95, plusMinus: 0.03 },
  instrument: 'digitalCaliper',
  entered: '19.95 mm',
};
const first = pack.looks.find(({ id }) => id === 'oil-feel');
const seen: EntryPayload = { ...look, result: first?.kind === 'table' ? (first.results[0]?.id ?? '') : 'still' };
const stateAfter = (...payloads: EntryPayload[]) => foldJob(JOB, entries(...payloads));

test('a caliper reading, a photo or a remark does not ask the look-ahead again; a look does', () => {
  const { result, rerender } = renderHook(({ state }) => useTrace(state, pack), { initialProps: { state: stateAfter(seen) } });
  const before = result.current;
  rerender({ state: stateAfter(seen, reading, { kind: 'remark', text: 'greasy' }) });
  expect(result.current).toBe(before);
  rerender({ state: stateAfter(seen, reading, { kind: 'stepDone', step: pack.steps[0]?.id ?? '' }) });
  expect(result.current).not.toBe(before);
});

test('what a screen sees is what is worked out', () => {
  const state = stateAfter(seen);
  expect(renderHook(() => useTrace(state, pack)).result.current).toEqual(traceOf(state, pack));
});
