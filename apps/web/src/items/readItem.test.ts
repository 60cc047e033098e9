import { entryPayload } from '@patient-badger/core/job';
import { NO_ITEM, readItem } from './readItem.ts';

const phone = { ...NO_ITEM, name: ' Lip seal 20x35x7 ', count: '2', price: '4,50', supplier: 'Hobdray Stores' };

test('a part by telephone is one line, with its price for one', () => {
  const read = readItem(phone);
  expect(read).toEqual({
    payload: { kind: 'itemAdded', name: 'Lip seal 20x35x7', count: 2, state: 'ordered', supplier: 'Hobdray Stores', priceMinor: 450 },
  });
  expect('payload' in read && entryPayload.safeParse(read.payload).success).toBe(true);
});

test('what its kind is known by goes with it; what another kind is known by does not', () => {
  const read = readItem({ ...phone, type: 'seal', sizes: { shaftDiameterMm: '20', widthMm: '7', coils: '9' } });
  expect(read).toMatchObject({ payload: { type: 'seal', attributes: { type: 'seal', shaftDiameterMm: 20, widthMm: 7 } } });
  expect('payload' in read && read.payload.attributes).not.toHaveProperty('coils');
});

test('every field that will not do is named', () => {
  const read = readItem({ ...phone, name: '', count: '1.5', price: 'dear', supplier: '', type: 'pin', sizes: { lengthMm: '-3' } });
  expect('problems' in read && Object.keys(read.problems).sort()).toEqual(['count', 'lengthMm', 'name', 'price', 'supplier']);
});

test('what lies in the shop comes from nobody', () => {
  expect(readItem({ ...phone, supplier: '', state: 'inHand' })).toHaveProperty('payload');
});
