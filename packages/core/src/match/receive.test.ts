import fc from 'fast-check';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { fit } from './fit.ts';
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
  // Whatever else agrees: what decides and was ordered is measured.
  const long = { ...ordered, hand: 'right', tipDiameterMm: 39 } as const;
  for (const left of ['teeth', 'faceWidthMm', 'boreDiameterMm', 'hand', 'tipDiameterMm'] as const) {
    const all = { teeth: 11, faceWidthMm: read(10), boreDiameterMm: read(12), hand: 'right', tipDiameterMm: read(39) } as const;
    expect(receive({ ordered: long, arrived: all }).verdict).toBe('accept');
    const { [left]: _, ...rest } = all;
    expect(receive({ ordered: long, arrived: rest })).toMatchObject({ verdict: 'measureMore', deciding: left });
  }
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

test.each([
  ['a pitch of 20 for one of 24', { diametralPitch: 24 }, { diametralPitch: 20 }],
  ['module 1 for 24 DP', { diametralPitch: 24 }, { normalModuleMm: 1 }],
  ['24 DP for module 1', { normalModuleMm: 1 }, { diametralPitch: 24 }],
  ['a worm of 20 DP for one of 24, its kind not said', { type: 'worm', diametralPitch: 24 }, { diametralPitch: 20 }],
] as const)('%s is not what was ordered, whatever else agrees', (_name, size, came) => {
  const rest = { teeth: 11, boreDiameterMm: 12, faceWidthMm: 10 };
  const agreeing = { teeth: 11, boreDiameterMm: read(12), faceWidthMm: read(10) };
  expect(receive({ ordered: { ...rest, ...size }, arrived: { ...agreeing, ...came } })).toMatchObject({
    verdict: 'refuse',
    deciding: expect.stringMatching(/ModuleMm$/) as string,
  });
});

test('a part of which nothing was measured is never taken, whatever the order names', () => {
  for (const order of [{ diametralPitch: 24 }, { type: 'spur' }, { material: 'steel' }, { pressureAngleDeg: 20 }, ordered] as const) {
    expect(receive({ ordered: order, arrived: {} })).toMatchObject({ verdict: 'measureMore', deciding: expect.any(String) as string });
  }
  expect(receive({ ordered: { diametralPitch: 24 }, arrived: { diametralPitch: 24 } }).verdict).toBe('accept');
});

test('a reading too rough to tell asks for a closer one and refuses nothing', () => {
  expect(receive({ ordered, arrived: { teeth: 11, faceWidthMm: { value: 10.4, plusMinus: 0.5 } } })).toMatchObject({
    verdict: 'measureMore',
    deciding: 'faceWidthMm',
  });
});

test('an order that gives its size twice, and differently, is no order', () => {
  expect(() => receive({ ordered: { normalModuleMm: 1, diametralPitch: 20 }, arrived: { teeth: 9 } })).toThrow(
    'contradiction at ordered.diametralPitch',
  );
  // Within its ± a module that was measured is the pitch that was read off.
  const wanted = { normalModuleMm: { value: 1.28, plusMinus: 0.02 }, diametralPitch: 20 };
  expect(fit({ wanted, part: { diametralPitch: 20 } }).attributes).toMatchObject([{ name: 'normalModuleMm' }]);
});

const exact = { teeth: 12, normalModuleMm: 2, boreDiameterMm: 10, faceWidthMm: 15, tipDiameterMm: 28 } as const;

test('a part of which one measured dimension contradicts the order is never taken', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(exact) as (keyof typeof exact)[])),
      fc.double({ min: 1.04, max: 3, noNaN: true }),
      fc.boolean(),
      fc.subarray(Object.keys(exact)),
      (name, factor, larger, others) => {
        const arrived: Record<string, unknown> = Object.fromEntries(others.map((each) => [each, exact[each as keyof typeof exact]]));
        const off = larger ? exact[name] * factor : exact[name] / factor;
        arrived[name] = name === 'teeth' ? Math.max(1, Math.round(off) === 12 ? 13 : Math.round(off)) : read(off);
        expect(receive({ ordered: exact, arrived }).verdict).not.toBe('accept');
      },
    ),
  );
});
