import { readAttributes } from './AddDonorScreen.tsx';

test('what is left empty is not known; a worm has an axial module', () => {
  expect(readAttributes('spur', { teeth: '11', module: '3', boreDiameterMm: ' ' })).toEqual({
    attributes: { type: 'spur', teeth: 11, normalModuleMm: 3 },
    problems: {},
  });
  expect(readAttributes('worm', { starts: '1', module: '1,25' }).attributes).toEqual({ type: 'worm', starts: 1, axialModuleMm: 1.25 });
});

test('what is no number is named, and nothing is made of it', () => {
  const read = readAttributes('spur', { teeth: '11.5', module: 'three', faceWidthMm: '-2' });
  expect(read.attributes).toBeNull();
  expect(Object.keys(read.problems)).toEqual(['teeth', 'module', 'faceWidthMm']);
});
