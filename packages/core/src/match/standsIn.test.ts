import { CoreFailure } from '../failure/CoreFailure.ts';
import { standsIn } from './standsIn.ts';

const part = { type: 'spur', teeth: 34, normalModuleMm: 1.25, boreDiameterMm: 12, faceWidthMm: 9, material: 'plastic' } as const;

test('a successor that is the same by every dimension is the same part', () => {
  expect(standsIn({ part, other: { ...part } })).toEqual({ verdict: 'same', differs: [], unknown: [] });
});

test('a successor with another bore is not, though the bore could be opened', () => {
  const found = standsIn({ part, other: { ...part, boreDiameterMm: 11.5 } });
  expect(found.verdict).toBe('differs');
  expect(found.differs).toMatchObject([{ name: 'boreDiameterMm', difference: -0.5 }]);
});

test('what matters most comes first: a tooth more before another material', () => {
  const found = standsIn({ part, other: { ...part, teeth: 35, material: 'steel' } });
  expect(found.differs.map(({ name }) => name)).toEqual(['teeth', 'material']);
});

test('what only one of them says is not known; another pitch in the other system is seen through', () => {
  const { faceWidthMm: _, ...short } = part;
  expect(standsIn({ part, other: short })).toMatchObject({ verdict: 'notKnown', unknown: ['faceWidthMm'] });
  const { normalModuleMm: __, ...rest } = part;
  expect(standsIn({ part, other: { ...rest, diametralPitch: 20 } })).toMatchObject({ verdict: 'differs' });
  expect(standsIn({ part, other: { ...rest, diametralPitch: 25.4 / 1.25 } }).verdict).toBe('same');
});

test('nothing cannot stand in for anything', () => {
  expect(() => standsIn({ part, other: {} })).toThrow(CoreFailure);
});
