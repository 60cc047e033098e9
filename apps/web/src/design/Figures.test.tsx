import { fireEvent, render, screen } from '@testing-library/react';
import { t } from '@patient-badger/wording/design';
import { useState } from 'react';
import { Figures } from './Figures.tsx';

const kept: string[] = [];
function Held({ start = '' }: { start?: string }) {
  const [typed, setTyped] = useState({ bore: start });
  return (
    <Figures
      typed={typed}
      fields={[['bore', 'Bore, mm', 'mm']]}
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
  expect([kept.at(-1), screen.queryByText(t.thatIsNoFigure) !== null]).toEqual(['wide', true]);
  type('8,02');
  expect([kept.at(-1), screen.queryByText(t.thatIsNoFigure)]).toEqual(['8,02', null]);
  type('3 N·m');
  expect(screen.getByText(t.thatIsNoFigure)).toBeTruthy();
});

test('what stands there from elsewhere is shown', () => {
  render(<Held start="12.5" />);
  expect(field().value).toBe('12.5');
});
