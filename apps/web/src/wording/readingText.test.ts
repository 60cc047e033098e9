import { figureText, readingText } from './readingText.ts';

test.each([
  [12.3456, 'mm', 0.03, '12.35 mm'],
  [0.71062, 'in', 0.0006, '0.711 in'],
  [14, 'deg', 0.3, '14°'],
  [-0.005, 'turns', 0.004, '0 turns'],
  [1.002, 'turns', 0.004, '1.002 turns'],
  [1, 'turns', 0, '1 turn'],
  [0, 'codes', 0, 'no code'],
  [12, 'codes', 0, 'code 12'],
  [1.2345, 'turns', 0, '1.23 turns'],
] as const)('%p %s reads %p', (value, unit, plusMinus, words) => expect(figureText(value, unit, plusMinus)).toBe(words));

test('the error at rest is taken off, and the other side is said too', () => {
  expect(readingText({ instrument: 'drillBench', value: 1.5, atRest: 0.3, unit: 'turns', plusMinus: 0.01, beside: 0 })).toBe(
    '1.2 turns and 0 turns',
  );
});
