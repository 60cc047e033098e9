import { identifyWorm, type WormIdentification } from '@patient-badger/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { CandidateList } from './CandidateList.tsx';

const caliper = (value: number) => ({ value, plusMinus: 0.03 });
const identify = (measurements: object, starts?: number): WormIdentification =>
  identifyWorm({ measurements, starts, wear: { maxTipLossMm: 0.2 }, systems: ['module', 'diametralPitch'] });

test('without a reading it says where to begin', () => {
  render(<CandidateList identification={undefined} picked={undefined} onPick={() => undefined} />);
  expect(screen.getByText('Nothing measured yet')).toBeTruthy();
});

test('lists candidates with size, starts and chance, best first, and none-of-these', () => {
  const identification = identify({ tipDiameterMm: caliper(20), axialPitch: { threads: 4, lengthMm: caliper(12.57) } });
  render(<CandidateList identification={identification} picked={identification.candidates[0]} onPick={() => undefined} />);
  const [first, second] = screen.getAllByRole('radio');
  expect(first?.textContent).toMatch(/^module 1, 1 start\d+ %/);
  expect(second?.textContent).toMatch(/^module 1, 2 starts/);
  expect(first?.getAttribute('aria-checked')).toBe('true');
  expect(screen.getByText('None of these')).toBeTruthy();
});

test('the picked one tells what the caliper should still find, and how far the readings are off', () => {
  const identification = identify(
    { tipDiameterMm: caliper(19.9), axialPitch: { threads: 4, lengthMm: caliper(12.57) }, rootDiameterMm: caliper(15.5) },
    1,
  );
  render(<CandidateList identification={identification} picked={identification.candidates[0]} onPick={() => undefined} />);
  expect(screen.getByText(/^Over the tips, unworn: 20\.0\d mm \(read −0\.\d\d mm\)$/)).toBeTruthy();
  expect(screen.getByText(/tips worn by 0\.\d\d mm/)).toBeTruthy();
});

test('another candidate can be picked', () => {
  const picked: string[] = [];
  const identification = identify({ tipDiameterMm: caliper(20), axialPitch: { threads: 4, lengthMm: caliper(12.57) } });
  render(<CandidateList identification={identification} picked={identification.candidates[0]} onPick={(key) => picked.push(key)} />);
  fireEvent.click(screen.getByTestId('candidate-module-1-2'));
  expect(picked).toEqual(['module-1-2']);
});
