import { t as shared } from '@patient-badger/wording/shared';
import { findFamily } from '@patient-badger/knowledge';
import type { Pack } from '@patient-badger/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { viewAfter } from '../testing/viewAfter.ts';
import { TickDesk } from './TickDesk.tsx';

const pack = findFamily('worm-steering-box') as Pack;
const row = (id: string) => pack.settings.find((each) => each.id === id);
const set = (wanted: string) => ({ kind: 'settingMade' as const, setting: 'shims' as const, figures: 'x', wanted });

test('a sleeve is locked last: what comes before and is open is named, and nothing once all is set', () => {
  const before = pack.settings
    .slice(
      0,
      pack.settings.findIndex(({ id }) => id === 'lock'),
    )
    .map(({ id }) => id);
  const [first = '', ...rest] = before;
  const { rerender } = render(<TickDesk view={viewAfter(pack, ...rest.map(set))} row={row('lock')} onSet={() => undefined} />);
  expect(screen.getByTestId('not-yet').textContent).toContain(row(first)?.name.toLowerCase());
  rerender(<TickDesk view={viewAfter(pack, ...before.map(set))} row={row('lock')} onSet={() => undefined} />);
  expect(screen.queryByTestId('not-yet')).toBeNull();
});

test('what is done after the mechanics says in which state of the machine', () => {
  const brake = findFamily('park-brake-actuator') as Pack;
  const said: string[] = [];
  const wanted = brake.settings.find(({ id }) => id === 'fit-run');
  render(<TickDesk view={viewAfter(brake)} row={wanted} onSet={(figures) => void said.push(figures)} />);
  expect(screen.getByTestId('machine-state').textContent).toMatch(/^With: ignition on, engine off/);
  fireEvent.click(screen.getByRole('button', { name: shared.itIsDone }));
  expect(said).toEqual([wanted?.name]);
});
