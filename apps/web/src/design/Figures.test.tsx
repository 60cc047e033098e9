import { act, fireEvent, render, screen } from '@testing-library/react';
import { t } from '@patient-badger/wording/design';
import { useState } from 'react';
import { lengthUnit } from '../preferences/preferences.ts';
import { Figures } from './Figures.tsx';

const kept: string[] = [];
function Held({ start = '' }: { start?: string }) {
  const [typed, setTyped] = useState({ bore: start });
  return (
    <Figures
      typed={typed}
      fields={[['bore', (unit) => `Bore, ${unit}`, 'mm']]}
      onChange={(change) => {
        setTyped({ ...typed, ...change });
        kept.push(change.bore ?? '');
      }}
      testID={() => 'bore'}
    />
  );
}
const field = () => screen.getByTestId<HTMLInputElement>('bore');
const type = (text: string) => fireEvent.change(field(), { target: { value: text } });

test('a figure in another unit is kept in the field’s own, stays as it was typed, and says what it comes to', () => {
  render(<Held />);
  type('5/16 in');
  expect(kept.at(-1)).toBe('7.9375');
  expect(field().value).toBe('5/16 in');
  expect(screen.getByText(t.thatIs('7.94', 'mm'))).toBeTruthy();
});

test('what is no figure says so and is kept as typed; a plain one is left alone', () => {
  render(<Held />);
  type('wide');
  expect([kept.at(-1), screen.queryByText(t.noLength) !== null]).toEqual(['wide', true]);
  type('8,02');
  expect([kept.at(-1), screen.queryByText(t.noLength)]).toEqual(['8,02', null]);
  type('3 N·m');
  expect(screen.getByText(t.noLength)).toBeTruthy();
});

test('what stands there from elsewhere is shown', () => {
  render(<Held start="12.5" />);
  expect(field().value).toBe('12.5');
});

test('whoever measures in inches reads and types inches; what is kept is the same', () => {
  lengthUnit.set('inch');
  render(<Held start="12.7" />);
  expect(screen.getByLabelText('Bore, in')).toBe(field());
  expect(field().value).toBe('0.5');
  type('5/16');
  expect(kept.at(-1)).toBe('7.9375');
  type('8 mm');
  expect([kept.at(-1), screen.queryByText(t.thatIs('0.315', 'in')) !== null]).toEqual(['8', true]);
  // Another unit is chosen while a figure stands there: it is the same length.
  act(() => lengthUnit.set('mm'));
  expect([field().value, kept.at(-1)]).toEqual(['8', '8']);
});
