import { t as drivelineWords } from '@patient-badger/wording/driveline';
import { t as ratio } from '@patient-badger/wording/ratio';
import { motion, traceInput, traceNext, type MotionOutput, type Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { fireEvent, render, screen } from '@testing-library/react';
import { depthByPlace } from './depth.ts';
import { DriveLine } from './DriveLine.tsx';
import { stationShape } from './stationShape.ts';
import { stationWords } from './stationWords.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const trace = (observations: { look: string; result: string }[] = []) =>
  traceNext(traceInput.parse({ family: pack.id, observations }), pack);
const run = (faults: { joint: string; mode: 'open' | 'skips' | 'jammed' }[]): MotionOutput =>
  motion({
    driveline: pack.driveline,
    drive: [{ body: 'engine', turns: 10 }],
    held: [],
    faults,
    underLoad: true,
    visibleDeg: 20,
    visibleMm: 2,
  });

test('shows every station, every joint and what stands beside, from driver to output', () => {
  render(<DriveLine pack={pack} trace={trace()} />);
  const rows = screen.getAllByRole('listitem').map((row) => row.textContent ?? '');
  expect(rows).toHaveLength(pack.order.length);
  expect(rows[0]).toMatch(/^Engine/);
  expect(rows.at(-1)).toMatch(/Pump plunger/);
  for (const { name } of [...pack.driveline.joints, ...pack.auxiliaries]) expect(screen.getByText(name as string)).toBeTruthy();
});

test('marks where the next look is, and suspicion by word and figure', () => {
  render(<DriveLine pack={pack} trace={trace([{ look: 'drum-watch-arm', result: 'still' }])} />);
  expect(screen.getByText(drivelineWords.nextLook)).toBeTruthy();
  const row = screen.getByText("Arm in the drum's notch").parentElement?.parentElement;
  expect(row?.textContent).toMatch(/\d+ %(likely|very likely|almost sure)/);
});

test('says how deep a place lies, and less once it is open', () => {
  expect(depthByPlace(pack, [])['worm-pinion']).toBe(7);
  expect(depthByPlace(pack, ['lead-off', 'cover-off', 'bar-off', 'piston-held', 'clutch-off'])['worm-pinion']).toBe(2);
  render(<DriveLine pack={pack} depth={{ 'worm-pinion': 1, 'arm-worm': 6 }} />);
  expect(screen.getByText('1 step in')).toBeTruthy();
  expect(screen.getByText('6 steps in')).toBeTruthy();
});

test('in motion each station says what it does', () => {
  const broken = { output: run([{ joint: 'drum-arm', mode: 'open' }]), angles: {}, fault: { joint: 'drum-arm', mode: 'open' } } as const;
  render(<DriveLine pack={pack} chains={[{ output: run([]), angles: {} }, broken]} />);
  const words = Object.fromEntries(screen.getAllByRole('listitem').map((row, i) => [pack.order[i], row.textContent]));
  expect(words.drum).toMatch(/sound: 10 turns, the same way$/);
  expect(words.worm).toMatch(/sound: 10 turns, the same way.*with it: stands still/);
  expect(screen.getByText(drivelineWords.theFaultItCarriesNothing)).toBeTruthy();
  expect(screen.queryByText('Oil tank and vent')).toBeNull();
});

test('a place can be pressed', () => {
  const pressed: string[] = [];
  render(<DriveLine pack={pack} onPlace={(place) => pressed.push(place)} />);
  fireEvent.click(screen.getByText(ratio.worm));
  fireEvent.click(screen.getByText('Worm drives the pinion'));
  expect(pressed).toEqual(['worm', 'worm-pinion']);
});

test('a body is drawn as what its joints make of it', () => {
  const shapes = pack.order.map((id, i) => stationShape(pack.driveline, id, i === 0));
  expect(shapes).toEqual(['driver', 'drum', 'arm', 'worm', 'wheel', 'drum']);
});

test.each([
  [{ turns: 10, state: 'turns' }, '10 turns, the same way'],
  [{ turns: -0.59, state: 'turns' }, '0.59 turns, the other way'],
  [{ turns: 0.05, state: 'turns' }, '18°, the same way'],
  [{ travelMm: -12.34, state: 'turns' }, 'travels 12.3 mm'],
  [{ state: 'less' }, 'turns, but less than it should'],
  [{ turns: 0, state: 'locked' }, 'locked: nothing will turn'],
  [{ state: 'irregular' }, 'jerks'],
  [undefined, 'stands still'],
] as const)('%j reads %p', (body, words) => expect(stationWords(body)).toBe(words));
