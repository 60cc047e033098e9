import { t as learning } from '@patient-badger/wording/learning';
import type { ShelfItem } from '@patient-badger/contract';
import type { PartAttributes } from '@patient-badger/core/parts';
import { donorsFor } from './OnTheShelf.tsx';

const wanted: PartAttributes = { type: 'spur', teeth: 11, normalModuleMm: 3, boreDiameterMm: 12 };
const item = (name: string, attributes: PartAttributes, more: Partial<ShelfItem> = {}) =>
  ({ name, attributes, usedIn: null, gone: null, ...more }) as ShelfItem;
const names = (shelf: readonly ShelfItem[]) => donorsFor(shelf, wanted).map((donor) => donor.item.name);

test('the likeliest donor comes first; what cannot fit is not shown', () => {
  const { boreDiameterMm: _, ...noBore } = wanted;
  expect(names([item('no bore known', noBore), item('same', wanted), item(learning.more('a tooth'), { ...wanted, teeth: 12 })])).toEqual([
    'same',
    'no bore known',
  ]);
});

test('what was fitted or written off is no longer there', () => {
  expect(names([item('fitted', wanted, { usedIn: 'a job' }), item('cracked', wanted, { gone: 'cracked' })])).toEqual([]);
});
