import { t } from '@patient-badger/wording/gear';
import { fireEvent, render, screen } from '@testing-library/react';
import { lengthUnit } from '../preferences/preferences.ts';
import { Pad } from './Pad.tsx';
import { enteredBefore } from './padReading.ts';
import type { PadEntry } from './usePad.ts';
import { WORM_WORDS } from './worm/words.ts';

function open(quantity: 'tipDiameterMm' | 'axialPitch' | 'starts' | 'leadAngleDeg' = 'tipDiameterMm') {
  const kept: PadEntry[] = [];
  render(<Pad words={WORM_WORDS[quantity]} onKeep={(entered) => kept.push(entered)} onClose={() => undefined} />);
  const type = (text: string) => [...text].forEach((key) => fireEvent.keyDown(window, { key }));
  const keep = () => fireEvent.click(screen.getByTestId('keep-reading'));
  return { kept, type, keep };
}

beforeEach(() => lengthUnit.set('mm'));

test('keeps what was typed in mm, with the ± of the instrument', () => {
  const { kept, type, keep } = open();
  type('18.05');
  keep();
  expect(kept).toEqual([{ reading: { value: 18.05, plusMinus: 0.03 }, instrument: 'digitalCaliper', entered: '18.05 mm' }]);
});

test('reads a fraction of an inch and keeps what was entered', () => {
  const { kept, type, keep } = open();
  fireEvent.click(screen.getByRole('radio', { name: 'in' }));
  type('11/16');
  keep();
  expect(kept[0]?.reading.value).toBeCloseTo(17.4625, 6);
  expect(kept[0]?.entered).toBe('11/16 in');
});

test('thou are thousandths of an inch', () => {
  const { kept, type, keep } = open();
  fireEvent.click(screen.getByRole('radio', { name: 'thou' }));
  type('787.4');
  keep();
  expect(kept[0]?.reading.value).toBeCloseTo(20, 3);
});

test.each([
  ['', /not one number/],
  ['1.2.3', /not one number/],
  ['0', /more than zero/],
  ['5000', /Is the unit right/],
  ['11/16', /Fractions are inches/],
])('refuses %p in a sentence and keeps the pad open', (text, words) => {
  const { kept, type, keep } = open();
  type(text);
  keep();
  expect(kept).toEqual([]);
  expect(screen.getByText(words)).toBeTruthy();
});

test('a pitch is read over as many threads as one says', () => {
  const { kept, type, keep } = open('axialPitch');
  fireEvent.click(screen.getByRole('button', { name: '+' }));
  type('15.71');
  keep();
  expect(kept[0]).toMatchObject({ over: 5, reading: { value: 15.71 } });
});

test('starts are counted, not measured', () => {
  const { kept, type, keep } = open('starts');
  type('1.5');
  keep();
  expect(screen.getByText(/whole number/)).toBeTruthy();
  fireEvent.keyDown(window, { key: 'Backspace' });
  fireEvent.keyDown(window, { key: 'Backspace' });
  keep();
  expect(kept).toEqual([{ reading: { value: 1, plusMinus: 0 }, instrument: 'counted', entered: '1' }]);
});

test('every key of the pad has a name of its own', () => {
  open();
  const names = screen.getAllByRole('button').map((button) => button.getAttribute('aria-label'));
  expect(names.every(Boolean)).toBe(true);
  expect(new Set(names).size).toBe(names.length);
});

test('the last reading comes again in the unit that it was read in', () => {
  const kept: PadEntry[] = [];
  render(<Pad words={WORM_WORDS.tipDiameterMm} last="11/16 in" onKeep={(entered) => kept.push(entered)} onClose={() => undefined} />);
  fireEvent.click(screen.getByRole('button', { name: t.last('11/16 in') }));
  fireEvent.click(screen.getByTestId('keep-reading'));
  expect(kept[0]?.reading.value).toBeCloseTo(17.4625, 6);
  expect(['40.5 mm', '787.4 thou', '20°', '12'].map(enteredBefore)).toEqual([
    { typed: '40.5', unit: 'mm' },
    { typed: '787.4', unit: 'thou' },
    { typed: '20', unit: null },
    { typed: '12', unit: null },
  ]);
});
