import type { Part } from '@patient-badger/contract';
import type { PartAttributes } from '@patient-badger/core/parts';
import { linkText } from './NamedInstead.tsx';

const attributes: PartAttributes = { type: 'spur', teeth: 11, normalModuleMm: 3, faceWidthMm: 10, material: 'steel' };
const part = { attributes } as Part;
const link = (other: PartAttributes | null) => ({
  kind: 'supersededBy' as const,
  partNumber: 'QB-1',
  part: other && { id: '0197a000-0000-7000-8000-000000000001', name: 'n', attributes: other },
});

test.each([
  [attributes, 'the same by every dimension.'],
  [{ ...attributes, faceWidthMm: 12 }, 'not the same: face width +2 mm.'],
  [{ ...attributes, teeth: 12, material: 'plastic' }, 'not the same: teeth +1, material another.'],
  [{ ...attributes, boreDiameterMm: 12 }, 'the same as far as both say; bore only one of them gives.'],
  [null, 'not in the catalogue.'],
] as const)('a successor %o: %s', (other, words) => expect(linkText(part, link(other))).toBe(words));
