import { findFamily } from '@patient-badger/knowledge';
import { seeded } from '../testing.ts';
import type { KinematicLook, Pack, TableLook } from '../trace/pack.ts';
import { soundMovement } from '../trace/lookMotion.ts';
import { trueValue, type InstrumentReading } from './reading.ts';
import { resultOfFigure, resultOfTurns } from './resultOf.ts';
import { standInDimension, standInLook, type HiddenTruth } from './standIn.ts';

const family = (id: string) => findFamily(id) as Pack;
const lookOf = (pack: Pack, id: string) => pack.looks.find((each) => each.id === id) as Pack['looks'][number];
const odometer = family('dash-odometer-motor');
const transaxle = family('garden-transaxle');
const drums = lookOf(odometer, 'worm-watch-drums') as KinematicLook;

/** What the stand-in shows, asked again until the connection holds. */
function shows(
  pack: Pack,
  look: Pack['looks'][number],
  truth: HiddenTruth,
  kind: 'drillBench' | 'dialIndicator' | 'faultCodeReader',
  seed = 1,
  zeroed = true,
) {
  for (let attempt = 0; attempt < 40; attempt++) {
    const reading = standInLook({ pack, truth, kind, zeroed, machine: seeded(seed), moment: seeded(seed * 1000 + attempt) }, look);
    if (reading) return reading;
  }
  throw new Error('never answered');
}
const counted = (value: number, more: Partial<InstrumentReading> = {}): InstrumentReading => ({
  instrument: 'drillBench',
  value,
  unit: 'turns',
  ...more,
});

test.each(odometer.faults.filter(({ modes }) => modes.some(({ mode }) => mode)).map(({ id }) => id))(
  'the drill bench on a dead odometer with %s counts what the chain gives, and the count is read as that',
  (fault) => {
    const truth = { fault };
    const reading = shows(odometer, drums, truth, 'drillBench');
    const state = resultOfTurns(odometer, drums, reading);
    const mode = odometer.faults.find(({ id }) => id === fault)?.modes[0]?.mode;
    expect({ open: ['still'], slips: ['still', 'turns'], skips: ['less'], jammed: ['locked'] }[mode ?? 'open']).toContain(state);
  },
);

test('a sound chain is counted as sound, however small its movement is', () => {
  const reading = shows(odometer, drums, { fault: 'motor-dead' }, 'drillBench');
  expect(trueValue(reading)).toBeCloseTo(soundMovement(odometer, drums), 1);
  expect(resultOfTurns(odometer, drums, reading)).toBe('turns');
});

test.each([
  [{ value: 0, putIn: 0 }, 'locked'],
  [{ value: 0, putIn: 40 }, 'still'],
  [{ value: 0.3, atRest: 0.3, putIn: 40 }, 'still'],
] as const)('%j is read as %s', ({ value, ...more }, state) => expect(resultOfTurns(odometer, drums, counted(value, more))).toBe(state));

test('half the drive is compared with half the movement', () => {
  const half = soundMovement(odometer, drums) / 2;
  expect(resultOfTurns(odometer, drums, counted(half, { putIn: 20 }))).toBe('turns');
  expect(resultOfTurns(odometer, drums, counted(half, { putIn: 40 }))).toBe('less');
});

test('two sides are counted apart', () => {
  const look = lookOf(transaxle, 'pulley-watch-both') as KinematicLook;
  const sound = soundMovement(transaxle, look, 'right');
  expect(resultOfTurns(transaxle, look, counted(0, { beside: 2 * sound }))).toBe('still-turns');
});

test('a display that does not stand at nought says so, and no longer once it is set', () => {
  const before = Array.from({ length: 8 }, (_, i) => shows(odometer, drums, { fault: 'motor-dead' }, 'drillBench', i + 1, false));
  expect(before.some(({ atRest = 0 }) => Math.abs(atRest) > 0.05)).toBe(true);
  for (const reading of before) expect(trueValue(reading)).toBeCloseTo(soundMovement(odometer, drums), 1);
  expect(shows(odometer, drums, { fault: 'motor-dead' }, 'drillBench').atRest).toBe(0);
});

test('now and then nobody answers', () => {
  const question = {
    pack: odometer,
    truth: { fault: 'motor-dead' },
    kind: 'drillBench',
    zeroed: true,
    machine: seeded(1),
    moment: seeded(2),
  } as const;
  const answers = Array.from({ length: 300 }, () => standInLook(question, drums));
  const lost = answers.filter((each) => each === null).length;
  expect(lost).toBeGreaterThan(10);
  expect(lost).toBeLessThan(60);
});

test('a figure falls into the span of what the fault mostly shows, and is the same machine’s each time', () => {
  const auger = family('auger-gearbox');
  const play = lookOf(auger, 'shaft-play') as TableLook;
  const results = Array.from({ length: 60 }, (_, i) =>
    resultOfFigure(play, trueValue(shows(auger, play, { fault: 'key-sheared' }, 'dialIndicator', i + 1))),
  );
  expect(results.filter((each) => each === 'large').length).toBeGreaterThan(45);
  const [one, two] = [
    shows(auger, play, { fault: 'key-sheared' }, 'dialIndicator', 5),
    shows(auger, play, { fault: 'key-sheared' }, 'dialIndicator', 5, false),
  ];
  expect(Math.abs(trueValue(one) - trueValue(two))).toBeLessThan(0.2 * trueValue(one));
});

test('fault codes are whole numbers, nought for none', () => {
  const bike = family('mid-drive-motor');
  const codes = lookOf(bike, 'codes') as TableLook;
  for (const { id } of bike.faults) {
    const { value } = shows(bike, codes, { fault: id }, 'faultCodeReader');
    expect(value).toBe(Math.round(value));
  }
});

test('limits belong to the result above them', () => {
  const play = lookOf(family('auger-gearbox'), 'shaft-play') as TableLook;
  expect([5.9, 6, 19.9, 20].map((value) => resultOfFigure(play, value))).toEqual(['small', 'middle', 'middle', 'large']);
});

test('the caliper reads a gear to a few hundredths', () => {
  const question = {
    pack: odometer,
    truth: { fault: 'motor-dead' },
    kind: 'caliper',
    zeroed: true,
    machine: seeded(1),
    moment: seeded(3),
  } as const;
  expect(standInDimension(question, 12)?.value).toBeCloseTo(12, 1);
});
