import { readShims } from './readShims.ts';

test('shims are read as people write them', () => {
  expect(readShims('0.1x4, 0,2 x 2; 0.5')).toEqual([
    { thicknessMm: 0.1, count: 4 },
    { thicknessMm: 0.2, count: 2 },
    { thicknessMm: 0.5, count: 1 },
  ]);
  expect(readShims('')).toEqual([]);
});

test.each(['thin', '0.1x', '0', '-0.2', '0.1 4'])('“%s” is no list of shims', (text) => expect(readShims(text)).toBeNull());
