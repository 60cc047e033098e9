import { t as access } from '@patient-badger/wording/access';
import { t as photo } from '@patient-badger/wording/photo';
import 'fake-indexeddb/auto';
import { captureAbout, type EntryPayload } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { outbox } from '../data/outbox.ts';
import { choosePerson } from '../data/person.ts';
import { recordPhoto } from '../data/record.ts';
import { viewAfter } from '../testing/viewAfter.ts';
import { WayBack } from './WayBack.tsx';

const pack = findFamily('worm-steering-box') as Pack;

const opened = (...steps: string[]): EntryPayload[] => steps.map((step) => ({ kind: 'stepDone', step }));
const CAUTIONS: EntryPayload[] = pack.cautions.map(({ id }) => ({ kind: 'cautionAcknowledged', caution: id }));
const written = () => outbox.get().flatMap((item) => (item.kind === 'entry' ? [item.entry.payload] : []));

beforeEach(() => choosePerson('imke'));
// The test's browser draws no pictures.
URL.createObjectURL = () => 'blob:photo';
URL.revokeObjectURL = () => undefined;

test('what was opened last comes first, with the work that exists only on the way back before it', () => {
  render(<WayBack view={viewAfter(pack, ...opened('raised', 'arm-off', 'box-open'))} />);
  expect(screen.getByText(access.theWayBackOfDone(0, 6))).toBeTruthy();
  const names = ['Box and bearings washed', 'Box shut', 'Box filled', 'Drop arm on its mark', 'End float, rocker float', 'Front down'];
  const text = document.body.textContent ?? '';
  const places = names.map((name) => text.indexOf(name));
  expect(places).toEqual([...places].sort((p, q) => p - q));
  expect(places).not.toContain(-1);
});

test('a position is shown again where it counts, and the piece waits until it is back', async () => {
  const mark: EntryPayload = { kind: 'captured', step: 'arm-off', capture: 'arm-mark', text: 'white paint' };
  render(<WayBack view={viewAfter(pack, ...CAUTIONS, ...opened('raised'), mark, ...opened('arm-off'))} />);
  expect(screen.getByText('white paint')).toBeTruthy();
  expect(screen.getByTestId('back-arm-on').getAttribute('aria-disabled')).toBe('true');
  fireEvent.click(screen.getByTestId('restored-arm-mark'));
  await waitFor(() => expect(written()).toContainEqual({ kind: 'captureConfirmed', step: 'arm-off', capture: 'arm-mark', ok: true }));
});

test('a position of which there is only a photo that is not sent yet is shown and waited for too', async () => {
  const view = viewAfter(pack, ...CAUTIONS, ...opened('raised', 'arm-off'));
  await recordPhoto(view.job.id, captureAbout('arm-off', 'arm-mark'), new Blob(['photo']));
  render(<WayBack view={view} />);
  expect(screen.getByLabelText(photo.photoNotSentYet)).toBeTruthy();
  expect(screen.getByText(access.aPhotoThatIsOn)).toBeTruthy();
  expect(screen.getByTestId('restored-arm-mark')).toBeTruthy();
  expect(screen.getByTestId('back-arm-on').getAttribute('aria-disabled')).toBe('true');
});

test('a piece called done too early is taken back right there', async () => {
  const done: EntryPayload = { kind: 'closingDone', step: 'arm-on' };
  render(<WayBack view={viewAfter(pack, ...CAUTIONS, ...opened('raised', 'arm-off'), done)} />);
  expect(screen.getByText(access.theWayBackOfDone(1, 2))).toBeTruthy();
  fireEvent.click(screen.getByTestId('take-back'));
  await waitFor(() => expect(written()).toContainEqual(expect.objectContaining({ kind: 'withdrawn' })));
});

test('the screws of a joint come with their order and passes, and what is left over is said', async () => {
  const done: EntryPayload[] = ['washed', 'mesh-set'].map((step) => ({ kind: 'closingDone', step }));
  render(<WayBack view={viewAfter(pack, ...CAUTIONS, ...opened('raised', 'arm-off', 'box-open'), ...done)} />);
  expect(screen.getByText(access.tightenInThisOrder('1 – 4 – 2 – 3'))).toBeTruthy();
  expect(screen.getByText(/Pass 1: snug, all round; Pass 2: to the full figure/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('left-over'));
  fireEvent.click(screen.getByTestId('left-over-shims'));
  expect(screen.getByText(access.leftOverStaysInThe(1))).toBeTruthy();
  fireEvent.click(screen.getByTestId('back-box-shut'));
  await waitFor(() =>
    expect(written()).toContainEqual({ kind: 'closingDone', step: 'box-shut', short: [{ step: 'box-open', item: 'shims', count: 1 }] }),
  );
});
