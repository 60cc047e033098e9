import { containing } from '@patient-badger/wording/testing';
import { t as access } from '@patient-badger/wording/access';
import 'fake-indexeddb/auto';
import type { EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { outbox } from '../data/outbox.ts';
import { choosePerson } from '../data/person.ts';
import type { JobView } from '../job/JobView.ts';
import { viewAfter } from '../testing/viewAfter.ts';
import { LaterCaptures } from './LaterCaptures.tsx';
import { StepButtons } from './StepButtons.tsx';
import { StepWork } from './StepWork.tsx';

const pack = findFamily('dash-odometer-motor') as Pack;
/** The step as the opening screen shows it. */
function show(id: string, view: JobView) {
  const step = pack.steps.find((each) => each.id === id);
  if (!step) throw new Error(`no step ${id}`);
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <StepWork view={view} step={step} stuck={false} />
      <StepButtons view={view} step={step} later={[]} stuck={false} onStuck={() => undefined} />
    </QueryClientProvider>,
  );
}

const BATTERY: EntryPayload[] = [
  { kind: 'stepDone', step: 'battery' },
  { kind: 'waitCut', wait: 'airbag', reason: 'none fitted' },
];
const CONFIRMED: EntryPayload[] = pack.cautions.map(({ id }) => ({ kind: 'cautionAcknowledged', caution: id }));
const READING: EntryPayload = { kind: 'captured', step: 'cluster-out', capture: 'reading', value: 184320 };
const done = () => screen.getByTestId('step-done');
const written = () => outbox.get().flatMap((item) => (item.kind === 'entry' ? [item.entry.payload] : []));

beforeEach(() => choosePerson('wren'));

test('a step cannot be called done before its caution is confirmed', () => {
  show('battery', viewAfter(pack));
  expect(done().getAttribute('aria-disabled')).toBe('true');
  expect(screen.getByText(access.confirmTheCautionFirst)).toBeTruthy();
});

test('nor before what it loses is taken down; once it is, one press writes it', async () => {
  const { unmount } = show('cluster-out', viewAfter(pack, ...CONFIRMED, ...BATTERY));
  expect(screen.getByText(access.takeDownWhatTheStep)).toBeTruthy();
  unmount();
  show('cluster-out', viewAfter(pack, ...CONFIRMED, ...BATTERY, READING));
  expect(screen.getByText('184320 km')).toBeTruthy();
  fireEvent.click(done());
  await waitFor(() => expect(written()).toContainEqual({ kind: 'stepDone', step: 'cluster-out' }));
});

test('nor while a time is running, which shows what is left of it', () => {
  const running: EntryPayload = { kind: 'waitStarted', wait: 'airbag', minutes: 10, source: access.theMakersFigure };
  show('cluster-out', viewAfter(pack, ...CONFIRMED, { kind: 'stepDone', step: 'battery' }, running, READING));
  expect(screen.getByText(access.waitForItFirst('Stored charge is gone'))).toBeTruthy();
  expect(screen.getByTestId('left-airbag').textContent).toMatch(/^(8:5\d|9:0\d)$/);
});

test('a time by the maker’s figure is not started without one', async () => {
  show('cluster-out', viewAfter(pack, ...CONFIRMED, { kind: 'stepDone', step: 'battery' }, READING));
  const start = screen.getByTestId('start-airbag');
  expect(start.getAttribute('aria-disabled')).toBe('true');
  const minutes = screen.getByLabelText(access.minutesFromTheMakersManual);
  fireEvent.change(minutes, { target: { value: 'a while' } });
  expect(screen.getByText(access.giveTheMinutesAsA)).toBeTruthy();
  fireEvent.change(minutes, { target: { value: '3' } });
  fireEvent.click(start);
  await waitFor(() =>
    expect(written()).toContainEqual({ kind: 'waitStarted', wait: 'airbag', minutes: 3, source: access.theMakersFigure }),
  );
});

test('passing over wants a reason', async () => {
  show('battery', viewAfter(pack));
  fireEvent.click(screen.getByTestId('step-skip'));
  expect(screen.getByTestId('step-skip-confirm').getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(screen.getByLabelText(access.whyOffAlreadyNotThere), { target: { value: 'off already' } });
  fireEvent.click(screen.getByTestId('step-skip-confirm'));
  await waitFor(() => expect(written()).toContainEqual({ kind: 'stepSkipped', step: 'battery', reason: 'off already' }));
});

test('what comes off is listed with its size and how it goes back; one that was missing is noted', async () => {
  show('cluster-out', viewAfter(pack, ...CONFIRMED, ...BATTERY, READING));
  expect(screen.getByText('4 × Cluster screws (M5 × 16 mm, cross-head)')).toBeTruthy();
  expect(screen.getAllByText(containing(access.snugItGoesIntoPlastic)).length).toBeGreaterThan(0);
  fireEvent.click(screen.getByTestId('odd-cluster-out'));
  fireEvent.click(screen.getByTestId('note-cluster-screws-missingBefore'));
  await waitFor(() =>
    expect(written()).toContainEqual({ kind: 'looseNoted', step: 'cluster-out', item: 'cluster-screws', what: 'missingBefore', count: 1 }),
  );
});

test('space does what the button does, and nothing while something stands in the way', async () => {
  const before = written().filter(({ kind }) => kind === 'stepDone').length;
  const { unmount } = show('battery', viewAfter(pack));
  fireEvent.keyDown(document.body, { key: ' ' });
  unmount();
  expect(written().filter(({ kind }) => kind === 'stepDone').length).toBe(before);
  show('battery', viewAfter(pack, ...CONFIRMED));
  fireEvent.keyDown(document.body, { key: ' ' });
  await waitFor(() => expect(written()).toContainEqual({ kind: 'stepDone', step: 'battery' }));
});

test('a position is put off by one press for want of a hand, and asked for once more until its piece is back', async () => {
  const before = [...CONFIRMED, ...BATTERY] as const;
  const { unmount } = show('cluster-out', viewAfter(pack, ...before));
  fireEvent.click(screen.getByTestId('later-reading'));
  const put: EntryPayload = { kind: 'captured', step: 'cluster-out', capture: 'reading', skipped: access.noHandFree, later: true };
  await waitFor(() => expect(written()).toContainEqual(put));
  unmount();
  const open: EntryPayload[] = [...before, put, { kind: 'stepDone', step: 'cluster-out' }];
  const asked = (...more: EntryPayload[]) =>
    render(
      <QueryClientProvider client={new QueryClient()}>
        <LaterCaptures view={viewAfter(pack, ...open, ...more)} />
      </QueryClientProvider>,
    );
  asked().unmount();
  const again = asked();
  expect(screen.getByText(access.putOffTakeThemDown(1))).toBeTruthy();
  // Once more, and no further: it is not put off twice.
  expect(screen.queryByTestId('later-reading')).toBeNull();
  again.unmount();
  asked({ kind: 'captured', step: 'cluster-out', capture: 'reading', value: 184320 });
  expect(screen.queryByText(access.putOffTakeThemDown(1))).toBeNull();
});
