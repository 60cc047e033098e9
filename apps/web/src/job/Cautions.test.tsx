import { t as shared } from '@patient-badger/wording/shared';
import 'fake-indexeddb/auto';
import { foldJob, type JobState } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { outbox } from '../data/outbox.ts';
import { choosePerson } from '../data/person.ts';
import { Cautions, useUnacknowledged } from './Cautions.tsx';

globalThis.structuredClone ??= <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

const JOB = '0197a000-0000-7000-8000-000000000001';
const pack = findFamily('saw-oil-pump') as Pack;
const caution = (id: string) => pack.cautions.filter((each) => each.id === id);
const fresh: JobState = foldJob(JOB, []);

test('one that can hurt wants a deliberate word, which is written down with who gave it', async () => {
  choosePerson('wren');
  render(<Cautions jobId={JOB} state={fresh} cautions={caution('flying-clip')} />);
  fireEvent.click(screen.getByRole('button', { name: shared.doneSoITakeCare }));
  await waitFor(() => expect(outbox.get()).toHaveLength(1));
  const [waiting] = outbox.get();
  expect(waiting?.kind === 'entry' && [waiting.entry.by, waiting.entry.payload]).toEqual([
    'wren',
    { kind: 'cautionAcknowledged', caution: 'flying-clip' },
  ]);
});

test('without a name nothing is written, and the screen says why', async () => {
  choosePerson(null);
  const before = outbox.get().length;
  render(<Cautions jobId={JOB} state={fresh} cautions={caution('flying-clip')} />);
  fireEvent.click(screen.getByRole('button', { name: shared.doneSoITakeCare }));
  await screen.findByText(shared.chooseWhoYouAreFirst);
  expect(outbox.get()).toHaveLength(before);
});

test('confirmed once it is still shown, and does not ask again', () => {
  const state = { ...fresh, acknowledged: ['flying-clip'] };
  render(<Cautions jobId={JOB} state={state} cautions={caution('flying-clip')} />);
  expect(screen.getByText(/clip or circlip can fly/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('one that harms the machine only is shown and blocks nothing', () => {
  expect(useUnacknowledged(fresh, caution('left-hand-thread'))).toEqual([]);
  expect(useUnacknowledged(fresh, caution('flying-clip'))).toHaveLength(1);
});
