import { changeQuestion, EMPTY_DRAFT, nowQuestion, takeoffQuestion, tyreQuestion } from './speedometer.ts';

const draft = { ...EMPTY_DRAFT, tyre: '195/70R14', axleRatio: '3,9', drive: '7', driven: '18-20', nowDrive: '7', nowDriven: '19' };

test('a tyre needs its size; a floor measurement needs both figures', () => {
  expect(tyreQuestion(EMPTY_DRAFT)).toBeNull();
  expect(tyreQuestion({ ...draft, rolledTurns: '10' })).toEqual({ size: '195/70R14' });
  expect(tyreQuestion({ ...draft, rolledTurns: '10', rolledMetres: '19.2' })).toMatchObject({ rolled: { turns: 10, distanceM: 19.2 } });
});

test('what is missing is asked for, one at a time', () => {
  expect(takeoffQuestion({ ...draft, axleRatio: '' }, 500)).toMatchObject({ field: 'axleRatio' });
  expect(takeoffQuestion({ ...draft, driven: 'some' }, 500)).toMatchObject({ field: 'driven' });
  expect(takeoffQuestion({ ...draft, rule: 'keepDrive', nowDrive: '' }, 500)).toMatchObject({ field: 'nowDrive' });
});

test('the pair in it now is worked out by itself', () => {
  expect(takeoffQuestion(draft, 500)).toMatchObject({
    input: { driveTeeth: [7], drivenTeeth: [18, 19, 20], axleRatio: 3.9, cableTurnsPerMile: 1000 },
  });
  expect(nowQuestion(draft, 500)).toMatchObject({ driveTeeth: [7], drivenTeeth: [19] });
  expect(nowQuestion({ ...draft, nowDriven: '' }, 500)).toBeNull();
});

test('what stays is left empty, and nothing changed asks nothing', () => {
  expect(changeQuestion(draft, { now: 500, other: null }, -2)).toBeNull();
  expect(changeQuestion({ ...draft, otherAxle: '3.4', topOther: '0,8' }, { now: 500, other: null }, -2)).toEqual({
    before: { turnsPerKm: 500, axleRatio: 3.9, topGearRatio: 1 },
    after: { turnsPerKm: 500, axleRatio: 3.4, topGearRatio: 0.8 },
    readsNowPercent: -2,
  });
  expect(changeQuestion({ ...draft, axleRatio: '' }, { now: 500, other: 520 }, 0)).toBeNull();
});
