import { modelBook, type BookLine, type JobState } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { readTrain } from './readTrain.ts';
import { knownSpeedometer, trainOf } from './knownFigures.ts';

const figures = { tyre: '185/65R14', axleRatio: '3.73', cable: '1000', cablePer: 'mile', drive: '7, 8', driven: '18-24' } as const;
const chosen = { kind: 'ratioChosen', driveTeeth: 7, drivenTeeth: 20, readingErrorPercent: 1, basis: 'x' } as const;
const line: BookLine = { kind: 'speedometer', driveTeeth: 7, drivenTeeth: 20, readingErrorPercent: 1, figures };
const book = modelBook([{ line, source: 'a job', at: '2026-01-01T00:00:00.000Z' }]);
const none = { ratioChosen: null } as Pick<JobState, 'ratioChosen'>;

test('the desk knows the job’s own figures, else the book’s without the tyre, else nothing', () => {
  expect(knownSpeedometer({ ratioChosen: { ...chosen, figures } }, book)).toEqual(figures);
  const { tyre: _, ...rest } = figures;
  expect(knownSpeedometer(none, book)).toEqual(rest);
  expect(knownSpeedometer({ ratioChosen: chosen }, book)).toEqual(rest);
  expect(knownSpeedometer(none, undefined)).toEqual({});
});

test('every train of a family is written as the desk reads it', () => {
  const train = trainOf(findFamily('dash-odometer-cable') as Pack);
  expect(train.split(' ').length).toBeGreaterThan(1);
  expect(readTrain(train)).not.toBeNull();
  expect(trainOf(findFamily('saw-oil-pump') as Pack)).toMatch(/^\d+w:\d+/);
});
