import type { PartAttributes } from '../match/schema.ts';
import { refusalOf } from '../testing.ts';
import { checkEntry } from './entryKinds.ts';
import { order, pack, refused } from './entrySamples.ts';
import { jobOf } from './jobOf.ts';

const PINION: PartAttributes = {
  type: 'spur',
  teeth: 11,
  normalModuleMm: 3,
  boreShape: 'round',
  boreDiameterMm: 12,
  faceWidthMm: 10,
};

test('an order without a deciding dimension is refused, and says which; one out of the catalogue is its listing', () => {
  const toDimensions = { ...order, source: 'toDimensions' } as const;
  const { faceWidthMm: _, ...narrow } = PINION;
  expect(refusalOf(() => checkEntry({ ...toDimensions, attributes: narrow }, pack))).toMatchObject({
    code: 'missing',
    path: 'payload.attributes.faceWidthMm',
  });
  expect(() => checkEntry({ ...toDimensions, attributes: PINION }, pack)).not.toThrow();
  expect(() => checkEntry({ ...order, attributes: narrow }, pack)).not.toThrow();
});

test('the hand of what came is its own, and goes back with it', () => {
  const came = [
    ['tobin', { kind: 'handNoted', gear: 'wheel', hand: 'left' }],
    ['tobin', { kind: 'handNoted', gear: 'wheel', hand: 'right', piece: 'new' }],
  ] as const;
  expect(jobOf(came).gears.wheel).toMatchObject({ hand: 'left', handsBeside: { new: 'right' } });
  const after = jobOf([...came, ['tobin', refused]]).gears.wheel;
  expect(after?.hand).toBe('left');
  expect(after?.handsBeside).toBeUndefined();
});
