import { t as trace } from '@patient-badger/wording/trace';
import { settledOnSight, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { AskedBack } from './AskedBack.tsx';

const saw = findFamily('saw-oil-pump') as Pack;

test('what is the fault itself settles it; a symptom and a cure do not', () => {
  expect(settledOnSight(saw, { look: 'worm-under-light', result: 'stripped' })).toEqual(['worm-stripped']);
  expect(settledOnSight(saw, { look: 'wet-underneath', result: 'wet' })).toEqual([]);
  expect(settledOnSight(saw, { look: 'vent-open', result: 'flows' })).toEqual([]);
  expect(settledOnSight(findFamily('park-brake-actuator') as Pack, { look: 'gear-lamp', result: 'teeth+dry' })).toEqual([
    'gear-snapped',
    'spindle-dry',
  ]);
});

test('it is asked back by name, and answered by press or by key', () => {
  const said: string[] = [];
  render(<AskedBack pack={saw} faults={['worm-stripped']} onYes={() => said.push('yes')} onNo={() => said.push('no')} />);
  expect(screen.getByText('Worm threads smeared or stripped')).toBeTruthy();
  fireEvent.click(screen.getByLabelText(trace.yesThatIsIt));
  fireEvent.click(screen.getByLabelText(trace.noILookAgain));
  fireEvent.keyDown(window, { key: 'Enter' });
  fireEvent.keyDown(window, { key: 'Escape' });
  expect(said).toEqual(['yes', 'no', 'yes', 'no']);
});
