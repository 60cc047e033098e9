import { readTrain } from './readTrain.ts';

test('pairs and worms are read; what is neither is not', () => {
  expect(readTrain('10:40, 1w:30')).toEqual([
    { driverTeeth: 10, drivenTeeth: 40 },
    { starts: 1, drivenTeeth: 30 },
  ]);
  expect([readTrain(''), readTrain('10:40 thirty'), readTrain('10-40')]).toEqual([null, null, null]);
});
