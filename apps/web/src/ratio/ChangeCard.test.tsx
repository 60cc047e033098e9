import { beginning } from '@patient-badger/wording/testing';
import { t as ratio } from '@patient-badger/wording/ratio';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { ChangeCard } from './ChangeCard.tsx';
import { EMPTY_DRAFT, type SpeedometerDraft } from './speedometer.ts';

const DRAFT: SpeedometerDraft = { ...EMPTY_DRAFT, axleRatio: '3.9' };

function Desk({ turnsPerKm, printed }: { turnsPerKm: number; printed: number }) {
  const [draft, setDraft] = useState(DRAFT);
  const tyre = { turnsPerKm, fromSize: { turnsPerKm: printed } };
  return <ChangeCard draft={draft} onChange={(change) => setDraft({ ...draft, ...change })} tyre={tyre} readsNowPercent={0} />;
}

const type = (label: string, text: string) => fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const rowOf = (name: RegExp) => within(screen.getByRole('table')).getByRole('row', { name }).textContent;

test('nothing is shown side by side before something is changed', () => {
  render(<Desk turnsPerKm={500} printed={500} />);
  expect(screen.queryByRole('table')).toBeNull();
  type(ratio.topGearNow, '1');
  expect(screen.queryByRole('table')).toBeNull();
});

test('another axle moves speedometer and engine, another top gear the engine alone', () => {
  render(<Desk turnsPerKm={500} printed={500} />);
  type(ratio.otherAxleRatio, '3.51');
  expect(rowOf(beginning(ratio.reads))).toBe('Readstrue10.0 % low');
  expect(rowOf(/^Engine at 100/)).toBe('Engine at 100 km/h32502925');
  type(ratio.otherAxleRatio, '');
  type(ratio.otherTopGear, '0.8');
  expect(rowOf(beginning(ratio.reads))).toBe('Readstruetrue');
  expect(rowOf(/^Engine at 100/)).toBe('Engine at 100 km/h32502600');
});

test('the same tyre instead of itself changes nothing, however it was measured on the floor', () => {
  // 195/70R14: 628.6 mm across, 506.4 turns a km by its size; rolled it turns more often.
  render(<Desk turnsPerKm={506.37 * 1.03} printed={506.37} />);
  type(ratio.otherTyresSize, '195/70R14');
  expect(rowOf(beginning(ratio.reads))).toBe('Readstruetrue');
  type(ratio.otherTyresSize, 'nonsense');
  expect(screen.getByText(/is no tyre size known here/)).toBeTruthy();
});
