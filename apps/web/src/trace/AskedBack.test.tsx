import type { Pack } from '@patient-badger/core';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { AskedBack, settles } from './AskedBack.tsx';

const saw = findFamily('saw-oil-pump') as Pack;

test('what is the fault itself settles it; a symptom and a cure do not', () => {
  expect(settles(saw, 'worm-under-light', 'stripped')).toEqual(['worm-stripped']);
  expect(settles(saw, 'wet-underneath', 'wet')).toEqual([]);
  expect(settles(saw, 'vent-open', 'flows')).toEqual([]);
  expect(settles(findFamily('park-brake-actuator') as Pack, 'gear-lamp', 'teeth+dry')).toEqual(['gear-snapped', 'spindle-dry']);
});

test('it is asked back by name, and answered by press or by key', () => {
  const said: string[] = [];
  render(<AskedBack pack={saw} faults={['worm-stripped']} onYes={() => said.push('yes')} onNo={() => said.push('no')} />);
  expect(screen.getByText('Worm threads smeared or stripped')).toBeTruthy();
  fireEvent.click(screen.getByLabelText('Yes, that is it'));
  fireEvent.click(screen.getByLabelText('No, I look again'));
  fireEvent.keyDown(window, { key: 'Enter' });
  fireEvent.keyDown(window, { key: 'Escape' });
  expect(said).toEqual(['yes', 'no', 'yes', 'no']);
});
