import { t } from '@patient-badger/wording/setup';
import type { Pack, SettingTarget } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { viewAfter } from '../testing/viewAfter.ts';
import { BACKLASH, RIM_PLAY, SHIMS, STAND_OFF, TIMING } from './desks.ts';
import { deskOf, type DeskSpec } from './FigureDesk.tsx';

const mockRead = jest.fn<Promise<{ value: number } | null>, []>();
jest.mock('../instrument/useInstrument.ts', () => ({ useInstrument: () => ({ problem: null, busy: false, read: mockRead }) }));

const slide = findFamily('slide-rack-drive') as Pack;
const row = (wanted: SettingTarget['wanted']): SettingTarget => ({ id: 'mesh', desk: 'backlash', name: 'Mesh', how: '', at: 'x', wanted });

function show(spec: DeskSpec, given?: SettingTarget) {
  localStorage.clear();
  const onSet = jest.fn();
  const Desk = deskOf({ ...spec, id: `${spec.id}-${Math.random()}` });
  render(<Desk view={viewAfter(slide)} row={given} onSet={onSet} />);
  return onSet;
}
const type = (name: string, text: string) => fireEvent.change(screen.getByTestId(`setup-${name}`), { target: { value: text } });

test('nothing is said before enough is typed, and what is worked out is written down with its source', () => {
  const onSet = show(SHIMS, row({ min: 0.05, max: 0.15, unit: 'mm', source: 'the sheet' }));
  type('float', '0.62');
  expect(screen.queryByTestId('shims-set')).toBeNull();
  type('shims', '0.1x4, 0.2x2, 0.5');
  expect(screen.getByTestId('shim-stack').textContent).toBe(t.mmLeft('1 × 0.5 mm', '0.120'));
  fireEvent.click(screen.getByTestId('shims-set'));
  expect(onSet).toHaveBeenCalledWith(t.mmOfEndFloat('1 × 0.5 mm', '0.12'), 'the sheet');
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
  expect(screen.getByTestId('stand-off-found').textContent).toBe(t.mmToo('0.10', t.nearDrawItOff));
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
