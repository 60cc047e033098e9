import { identifyWorm, wormIdentifyInput, type WormCandidate } from './identify.ts';
import { fit } from '../../match/fit.ts';
import { matchFitInput } from '../../match/schema.ts';
import type { GearCard } from '../../trace/pack.ts';
import type { MeasuredGear } from '../measuredGear.ts';
import { wantedWorm } from './wanted.ts';
import { wormQuestion } from './question.ts';
import { type DimensionReading } from '../readings.ts';

const card: GearCard = { id: 'worm', name: 'Worm', body: 'worm', type: 'worm', boreShape: 'round' };
const read = (value: number, over?: number): readonly DimensionReading[] => [
  {
    entryId: 'e',
    reading: { value, plusMinus: 0.03 },
    ...(over !== undefined && { over }),
    instrument: 'digitalCaliper',
    entered: `${value}`,
  },
];
const gear: MeasuredGear = {
  readings: { tipDiameterMm: read(19.95), axialPitch: read(12.57, 4), starts: read(1), boreDiameterMm: read(12.01), faceWidthMm: read(9) },
  hand: 'right',
};

const identified = (state: MeasuredGear): WormCandidate => {
  const question = wormQuestion(state);
  return identifyWorm(wormIdentifyInput.parse(question)).candidates[0] as WormCandidate;
};

test('from the caliper to the part: what was measured is what is looked for', () => {
  const wanted = wantedWorm(identified(gear), gear, card);
  expect(wanted).toMatchObject({
    type: 'worm',
    starts: 1,
    axialModuleMm: 1,
    hand: 'right',
    boreShape: 'round',
    boreDiameterMm: { value: 12.01 },
  });
  const part = {
    type: 'worm',
    starts: 1,
    axialModuleMm: 1,
    pitchDiameterMm: 18,
    hand: 'right',
    boreShape: 'round',
    boreDiameterMm: 12,
    faceWidthMm: 9,
  };
  expect(fit(matchFitInput.parse({ wanted, part })).probability).toBeGreaterThan(0.7);
});

test('what was not read is not asked of the part', () => {
  const bare: MeasuredGear = { readings: { tipDiameterMm: read(19.95), axialPitch: read(12.57, 4) } };
  const wanted = wantedWorm(identified(bare), bare, card);
  expect(Object.keys(wanted)).not.toEqual(expect.arrayContaining(['boreDiameterMm']));
  expect(wanted.hand).toBeUndefined();
});

test('what was measured on the seat goes before what its family usually has', () => {
  const m = (value: number) => ({ value, plusMinus: 0.03 });
  const seat = { kind: 'seatRead', gear: 'worm', shape: 'key', bore: { diameterMm: m(12.02), keyWidthMm: m(4) }, shaft: {} } as const;
  const { boreDiameterMm: _, ...readings } = gear.readings;
  const wanted = wantedWorm(identified(gear), { ...gear, readings, seat }, card);
  expect(wanted).toMatchObject({ boreShape: 'key', boreDiameterMm: m(12.02), keyWidthMm: m(4) });
  const bare = wantedWorm(identified(gear), { ...gear, seat: { ...seat, shape: 'round', bore: {} } }, card);
  expect(bare).toMatchObject({ boreShape: 'round', boreDiameterMm: { value: 12.01 } });
  expect(bare.keyWidthMm).toBeUndefined();
});
