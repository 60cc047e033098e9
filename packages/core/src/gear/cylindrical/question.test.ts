import { identifyCylindrical } from './identify.ts';
import { identifyInput } from './identifySchema.ts';
import { cylindricalQuestion } from './question.ts';
import { type DimensionReading } from '../readings.ts';

const read = (value: number, over?: number, plusMinus = 0.03): DimensionReading => ({
  entryId: 'e',
  reading: { value, plusMinus },
  ...(over !== undefined && { over }),
  instrument: 'digitalCaliper',
  entered: `${value}`,
});

test('nothing is asked before teeth or a piece of the rim are counted and something tells the size', () => {
  expect(cylindricalQuestion({ readings: {} })).toBeNull();
  expect(cylindricalQuestion({ readings: { tipDiameterMm: [read(26.95)] } })).toBeNull();
  expect(cylindricalQuestion({ readings: { teeth: [read(25)], boreDiameterMm: [read(8)] } })).toBeNull();
  expect(cylindricalQuestion({ readings: { arcDeg: [read(82, 6, 1)], spanMm: [read(7.7, 3)] } })).not.toBeNull();
});

test('spans over different counts stay apart, those over the same are averaged', () => {
  const question = cylindricalQuestion({ readings: { teeth: [read(25)], spanMm: [read(7.7, 3), read(10.65, 4), read(7.74, 3)] } });
  expect(question?.measurements.spans).toEqual([
    { teeth: 4, spanMm: { value: 10.65, plusMinus: 0.03 } },
    { teeth: 3, spanMm: { value: expect.closeTo(7.72, 9) as number, plusMinus: expect.closeTo(0.03 / Math.SQRT2, 9) as number } },
  ]);
});

test('from the readings on the job to the gear it was', () => {
  const question = cylindricalQuestion({
    readings: { teeth: [read(25)], tipDiameterMm: [read(26.95)], spanMm: [read(7.7, 3), read(10.65, 4)], centreDistanceMm: [read(25, 25)] },
  });
  const [first] = identifyCylindrical(identifyInput.parse(question)).candidates;
  expect(first).toMatchObject({ system: 'module', size: 1, pressureAngleDeg: 20, teeth: 25 });
});
