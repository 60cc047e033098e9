import { t as trace } from '@patient-badger/wording/trace';
import 'fake-indexeddb/auto';
import { openSteps, type EntryPayload } from '@patient-badger/core/job';
import { lookWants, reachOf, type Look, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { outbox } from '../data/outbox.ts';
import { choosePerson } from '../data/person.ts';
import { viewAfter } from '../testing/viewAfter.ts';
import { NotPossible } from './NotPossible.tsx';

const pack = findFamily('saw-oil-pump') as Pack;
const look = pack.looks.find(({ id }) => id === 'paper-test') as Look;
const opened = (...steps: string[]): EntryPayload[] => steps.map((step) => ({ kind: 'stepDone', step }));
const written = () => outbox.get().flatMap((item) => (item.kind === 'entry' ? [item.entry.payload] : []));

function shown(...entries: EntryPayload[]) {
  const view = viewAfter(pack, ...entries);
  const undo = reachOf(pack).approachOf(lookWants(pack, look), openSteps(pack, view.state))?.undo ?? null;
  return render(<NotPossible view={view} look={look} undo={undo} />);
}

beforeEach(() => choosePerson('imke'));

test('with the bar off the paper test says what it needs, what goes back first, and keeps that it is back', async () => {
  shown(...opened('lead-off', 'cover-off', 'bar-off'));
  expect(screen.getByText(trace.notPossibleAsItStands)).toBeTruthy();
  expect(screen.getByText('This look needs: bar and chain are on; plug lead is on; bar cover is on.')).toBeTruthy();
  expect(screen.getByText(/^Put back first, 3 min in all/)).toBeTruthy();
  // Latest first: the cover goes on over the bar.
  expect(screen.getAllByRole('button').map((each) => each.textContent)).toEqual([
    'It is back: Bar and chain on, tension set',
    'It is back: Cover on, lead on',
  ]);
  fireEvent.click(screen.getByTestId('back-bar-on'));
  await waitFor(() => expect(written()).toContainEqual({ kind: 'closingDone', step: 'bar-on' }));
});

test('what was put back is possible again, and once more open it is not', () => {
  const back: EntryPayload[] = ['bar-on', 'cover-on'].map((step) => ({ kind: 'closingDone', step }));
  const { container, unmount } = shown(...opened('lead-off', 'cover-off', 'bar-off'), ...back);
  expect(container.textContent).toBe('');
  unmount();
  shown(...opened('lead-off', 'cover-off', 'bar-off'), ...back, ...opened('lead-off', 'cover-off', 'bar-off'));
  expect(screen.getByText(trace.notPossibleAsItStands)).toBeTruthy();
});
