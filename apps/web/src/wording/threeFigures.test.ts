import { threeFigures } from './threeFigures.ts';

test.each([
  [1503.2, '1,500'],
  [0.012345, '0.0123'],
  [4.2, '4.2'],
  [1e9, '1,000,000,000'],
  [0, '0'],
])('%d is %s', (value, text) => expect(threeFigures(value)).toBe(text));
