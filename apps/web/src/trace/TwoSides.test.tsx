import type { KinematicLook, Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { TwoSides } from './TwoSides.tsx';

const pack = findFamily('auger-gearbox') as Pack;
const look = pack.looks.find(({ id }) => id === 'impeller-watch-halves') as KinematicLook;
const show = (more: { disabled?: boolean; before?: string } = {}) => {
  const said: string[] = [];
  render(<TwoSides pack={pack} look={look} disabled={more.disabled ?? false} before={more.before} onSay={(result) => said.push(result)} />);
  return said;
};

test('each side has a column under its name, and nothing is said before both are', () => {
  const said = show();
  expect(screen.getByRole('radiogroup', { name: 'Left auger half' })).toBeTruthy();
  expect(screen.getByRole('radiogroup', { name: 'Right auger half' })).toBeTruthy();
  fireEvent.click(screen.getByTestId('side-0-still'));
  fireEvent.click(screen.getByTestId('say-both'));
  expect(said).toEqual([]);
  fireEvent.click(screen.getByTestId('side-1-turns'));
  fireEvent.click(screen.getByTestId('say-both'));
  expect(said).toEqual(['still-turns']);
});

test('by digits: first the one side, then the other, then Enter', () => {
  const said = show();
  const ids = screen.getAllByRole('radio').map((each) => each.getAttribute('data-testid') ?? '');
  const digit = (id: string) => String(ids.filter((each) => each.startsWith(id.slice(0, 6))).indexOf(id) + 1);
  fireEvent.keyDown(document.body, { key: digit('side-0-turns') });
  fireEvent.keyDown(document.body, { key: 'Enter' });
  expect(said).toEqual([]);
  fireEvent.keyDown(document.body, { key: digit('side-1-less') });
  fireEvent.keyDown(document.body, { key: 'Enter' });
  expect(said).toEqual(['turns-less']);
});

test('what was said before is shown, and a caution that is not confirmed blocks it', () => {
  const said = show({ before: 'still-turns', disabled: true });
  expect(screen.getByTestId('side-0-still').getAttribute('aria-checked')).toBe('true');
  expect(screen.getByTestId('side-1-turns').getAttribute('aria-checked')).toBe('true');
  fireEvent.keyDown(document.body, { key: 'Enter' });
  fireEvent.click(screen.getByTestId('say-both'));
  expect(said).toEqual([]);
});
