import { CoreFailure } from '../failure/CoreFailure.ts';
import { receive } from './receive.ts';

const ordered = { type: 'spur', teeth: 11, normalModuleMm: 3, boreDiameterMm: 12, faceWidthMm: 10 } as const;
const read = (value: number) => ({ value, plusMinus: 0.03 });

test('the classic wrong delivery, two millimetres too wide, is refused for its width', () => {
  const found = receive({ ordered, arrived: { teeth: 11, boreDiameterMm: read(12.01), faceWidthMm: read(12) } });
  expect(found).toMatchObject({ verdict: 'refuse', deciding: 'faceWidthMm', difference: 2 });
});

test('a part is taken once what deliveries go wrong in was measured and agrees', () => {
  expect(receive({ ordered, arrived: {} })).toMatchObject({ verdict: 'measureMore', deciding: 'teeth' });
  expect(receive({ ordered, arrived: { teeth: 11, faceWidthMm: read(10.02) } })).toMatchObject({
    verdict: 'measureMore',
    deciding: 'boreDiameterMm',
  });
  expect(receive({ ordered, arrived: { teeth: 11, faceWidthMm: read(10.02), boreDiameterMm: read(12) } }).verdict).toBe('accept');
  expect(receive({ ordered: { teeth: 11 }, arrived: { teeth: 11 } }).verdict).toBe('accept');
});

test('a bore that could be opened is still not what was ordered', () => {
  expect(receive({ ordered, arrived: { teeth: 11, boreDiameterMm: read(11.5) } })).toMatchObject({
    verdict: 'refuse',
    deciding: 'boreDiameterMm',
  });
});

test('an order that says nothing cannot be received against', () => {
  expect(() => receive({ ordered: {}, arrived: { teeth: 11 } })).toThrow(CoreFailure);
});
