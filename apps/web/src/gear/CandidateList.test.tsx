import { t as gear } from '@patient-badger/wording/gear';
import { identifyCylindrical, identifyInput, identifyWorm, type WormIdentification } from '@patient-badger/core/gear';
import { fireEvent, render, screen } from '@testing-library/react';
import { CandidateList } from './CandidateList.tsx';
import { wormLine } from './worm/line.ts';
import { cylindricalLine } from './cylindrical/line.ts';

const caliper = (value: number) => ({ value, plusMinus: 0.03 });
const identify = (measurements: object, starts?: number): WormIdentification =>
  identifyWorm({ measurements, starts, wear: { maxTipLossMm: 0.2 }, systems: ['module', 'diametralPitch'] });

function show({ candidates, noneOfTheseProbability }: WormIdentification, onPick: (key: string) => void = () => undefined) {
  const lines = candidates.map((each) => wormLine(each, 'mm'));
  render(
    <CandidateList
      heading={gear.whichWormItWas}
      begin=""
      lines={lines}
      noneOfThese={noneOfTheseProbability}
      picked={lines[0]?.key}
      onPick={onPick}
    />,
  );
}

test('without a reading it says where to begin', () => {
  render(
    <CandidateList heading={gear.whichWormItWas} begin="Tap a dimension." lines={undefined} picked={undefined} onPick={() => undefined} />,
  );
  expect(screen.getByText(gear.nothingMeasuredYet)).toBeTruthy();
});

test('lists candidates with size, starts and chance, best first, and none-of-these', () => {
  const identification = identify({ tipDiameterMm: caliper(20), axialPitch: { threads: 4, lengthMm: caliper(12.57) } });
  show(identification);
  const [first, second] = screen.getAllByRole('radio');
  expect(first?.textContent).toMatch(/^module 1, 1 start\d+ %/);
  expect(second?.textContent).toMatch(gear.module('1, 2 starts'));
  expect(first?.getAttribute('aria-checked')).toBe('true');
  expect(screen.getByText(gear.noneOfThese)).toBeTruthy();
});

test('the picked one tells what the caliper should still find, and how far the readings are off', () => {
  const identification = identify(
    { tipDiameterMm: caliper(19.9), axialPitch: { threads: 4, lengthMm: caliper(12.57) }, rootDiameterMm: caliper(15.5) },
    1,
  );
  show(identification);
  expect(screen.getByText(/^Over the tips, unworn: 20\.0\d mm \(read −0\.\d\d mm\)$/)).toBeTruthy();
  expect(screen.getByText(/tips worn by 0\.\d\d mm/)).toBeTruthy();
});

test('another candidate can be picked', () => {
  const picked: string[] = [];
  const identification = identify({ tipDiameterMm: caliper(20), axialPitch: { threads: 4, lengthMm: caliper(12.57) } });
  show(identification, (key) => picked.push(key));
  fireEvent.click(screen.getByTestId('candidate-module-1-2'));
  expect(picked).toEqual(['module-1-2']);
});

test('a spur gear is named by size, teeth and pressure angle, with every span it was read over', () => {
  const spans = [
    { teeth: 3, spanMm: caliper(7.73) },
    { teeth: 4, spanMm: caliper(10.68) },
  ];
  const { candidates } = identifyCylindrical(identifyInput.parse({ teeth: 25, measurements: { tipDiameterMm: caliper(26.95), spans } }));
  const [first] = candidates.map((each) => cylindricalLine(each, 'mm'));
  expect(first?.title).toBe(gear.module('1, 25 teeth, 20°'));
  expect(first?.detail).toMatch(gear.pitchDiameter('25.00 mm', '', ''));
  expect(first?.expected).toEqual([
    expect.stringMatching(/^Over the tips, unworn: \d\d\.\d\d mm \(read [+−]0\.\d\d mm\)$/),
    expect.stringMatching(/^Root: .*\(not read\)$/),
    expect.stringMatching(/^Span over 3: 7\.\d\d mm \(read [+−]0\.\d\d mm\)$/),
    expect.stringMatching(/^Span over 4: 10\.\d\d mm \(read [+−]0\.\d\d mm\)$/),
  ]);
});
