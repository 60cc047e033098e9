import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack, SettingTarget } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { viewAfter } from '../testing/viewAfter.ts';
import { Desk } from '../desk/Desk.tsx';
import type { DeskSpec } from '../desk/DeskSpec.ts';
import { BACKLASH } from './desks/backlash.ts';
import { DONE } from './desks/done.ts';
import { RIM_PLAY } from './desks/rimPlay.ts';
import type { Setup } from './desks/setup.ts';
import { SHIMS } from './desks/shims.ts';
import { STAND_OFF } from './desks/standOff.ts';
import { TIMING } from './desks/timing.ts';
import { TORQUE } from './desks/torque.ts';

const mockRead = jest.fn<Promise<{ value: number } | null>, []>();
jest.mock('../instrument/useInstrument.ts', () => ({ useInstrument: () => ({ problem: null, busy: false, read: mockRead }) }));

const slide = findFamily('slide-rack-drive') as Pack;
const row = (wanted: SettingTarget['wanted']): SettingTarget => ({ id: 'mesh', desk: 'backlash', name: 'Mesh', how: '', at: 'x', wanted });

function show(spec: DeskSpec<Setup>, given?: SettingTarget) {
  localStorage.clear();
  const onSet = jest.fn();
  render(<Desk spec={{ ...spec, id: `${spec.id}-${Math.random()}` }} context={{ view: viewAfter(slide), row: given }} onWrite={onSet} />);
  return onSet;
}
const type = (name: string, text: string) => fireEvent.change(screen.getByTestId(`setup-${name}`), { target: { value: text } });

test('nothing is said before enough is typed, and what is worked out is written down with its source', () => {
  const onSet = show(SHIMS, row({ min: 0.05, max: 0.15, unit: 'mm', source: 'the sheet' }));
  type('float', '0.62');
  expect(screen.queryByTestId('shims-set')).toBeNull();
  type('shims', '0.1x4, 0.2x2, 0.5');
  expect(screen.getByTestId('shim-stack').textContent).toBe(t.endFloatLeft('1 × 0.5 mm', '0.120 mm'));
  fireEvent.click(screen.getByTestId('shims-set'));
  expect(onSet).toHaveBeenCalledWith({ figures: t.endFloatIs('1 × 0.5 mm', '0.12 mm'), source: 'the sheet' });
});

test('a range that no stack reaches, and one that is upside down, are refused aloud', () => {
  show(SHIMS);
  type('float', '5');
  type('least', '0.05');
  type('most', '0.06');
  type('shims', '0.1');
  expect(screen.getByRole('alert').textContent).toBe(t.noStackOfTheseBrings);
});

test('a gap that is too near says by how much', () => {
  show(STAND_OFF);
  type('feeler', '0.2');
  type('least', '0.3');
  type('most', '0.5');
  expect(screen.getByTestId('stand-off-found').textContent).toBe(t.tooBy('0.10 mm', t.nearDrawItOff));
  type('most', '0.1');
  expect(screen.getByRole('alert').textContent).toBe(t.theLeastWantedIsMore);
});

test('what is typed while the dial is read stays', async () => {
  show(BACKLASH);
  let answer = (_: { value: number }) => {};
  mockRead.mockReturnValue(new Promise((resolve) => (answer = resolve)));
  fireEvent.click(screen.getByTestId('read-dial'));
  type('at', '40');
  type('pitch', '20');
  answer({ value: 0.3 });
  expect(await screen.findByTestId('backlash-found')).toBeTruthy();
  expect(screen.getByTestId<HTMLInputElement>('setup-at').value).toBe('40');
  expect(screen.getByTestId('backlash-found').textContent).toMatch(/0\.150/);
});

test('play at the rim without the mesh asks for it; two sides out of step say which', () => {
  show(RIM_PLAY);
  type('play', '30');
  type('radius', '190');
  expect(screen.getByText(t.withTheBacklashOfThe)).toBeTruthy();
  show(TIMING);
  type('left', '500');
  type('right', '480');
  type('teeth', '12');
  type('module', '2');
  expect(screen.getByTestId('timing-found').textContent).toContain('right');
});

test('a torque is not tight before its source is written, which is said at its field', () => {
  const onSet = show(TORQUE);
  type('value', '10');
  fireEvent.click(screen.getByTestId('torque-set'));
  expect(onSet).not.toHaveBeenCalled();
  expect(screen.getByRole('alert').textContent).toBe(t.sayWhoseFigureItIs);
  type('source', 'sheet 4');
  expect(screen.queryByRole('alert')).toBeNull();
  fireEvent.click(screen.getByTestId('torque-set'));
  expect(onSet).toHaveBeenCalledWith({ figures: t.tightenedTo(10, 'N·m'), source: 'sheet 4' });
});

const steering = findFamily('worm-steering-box') as Pack;
const steeringRow = (id: string) => steering.settings.find((each) => each.id === id);
const setBy = (wanted: string) => ({ kind: 'settingMade' as const, setting: 'shims' as const, figures: 'x', wanted });

test('a sleeve is locked last: what comes before and is open is named, and nothing once all is set', () => {
  const before = steering.settings
    .slice(
      0,
      steering.settings.findIndex(({ id }) => id === 'lock'),
    )
    .map(({ id }) => id);
  const [first = '', ...rest] = before;
  const { rerender } = render(<Desk spec={DONE} context={{ view: viewAfter(steering, ...rest.map(setBy)), row: steeringRow('lock') }} />);
  expect(screen.getByTestId('not-yet').textContent).toContain(steeringRow(first)?.name.toLowerCase());
  rerender(<Desk spec={DONE} context={{ view: viewAfter(steering, ...before.map(setBy)), row: steeringRow('lock') }} />);
  expect(screen.queryByTestId('not-yet')).toBeNull();
});

test('what is done after the mechanics says in which state of the machine', () => {
  const brake = findFamily('park-brake-actuator') as Pack;
  const said: string[] = [];
  const wanted = brake.settings.find(({ id }) => id === 'fit-run');
  render(<Desk spec={DONE} context={{ view: viewAfter(brake), row: wanted }} onWrite={({ figures }) => void said.push(figures)} />);
  expect(screen.getByTestId('machine-state').textContent).toMatch(/^With: ignition on, engine off/);
  fireEvent.click(screen.getByRole('button', { name: shared.itIsDone }));
  expect(said).toEqual([wanted?.name]);
});
