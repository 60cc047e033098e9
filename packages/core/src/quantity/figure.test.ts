import fc from 'fast-check';
import { readFigure } from './figure.ts';

test.each<[string, Parameters<typeof readFigure>[1], number]>([
  ['44 1/4 in', 'mm', 1123.95],
  ['11/16"', 'mm', 17.4625],
  ['0.015 in.', 'mm', 0.381],
  ['12 thou', 'mm', 0.3048],
  ['1,5 cm', 'mm', 15],
  ['18.05', 'mm', 18.05],
  ['7 mm', 'mm', 7],
  // NIST SP 811, appendix B.
  ['3 in·lb', 'N·m', 0.338954],
  ['10 ft-lb', 'N·m', 13.558179],
  ['10 lbf·ft', 'N·m', 13.558179],
  ['2 kgf·m', 'N·m', 19.6133],
  ['12 Nm', 'N·m', 12],
  ['850 per mile', 'perKm', 528.16551],
  ['850 turns per mile', 'perKm', 528.16551],
  ['530 /km', 'perKm', 530],
  ['1 1/2', undefined, 1.5],
  ['-3', undefined, -3],
])('%s in %s is %d', (text, base, value) => expect(readFigure(text, base)).toBeCloseTo(value, 4));

test.each<[string, Parameters<typeof readFigure>[1]]>([
  ['5 in', 'N·m'],
  ['5 in', undefined],
  ['3 N·m', 'mm'],
  ['1.2.3', 'mm'],
  ['1/0', 'mm'],
  ['a lot', 'mm'],
  ['', 'mm'],
  ['12 furlongs', 'mm'],
  ['5 mm 3', 'mm'],
])('%s in %s is no figure', (text, base) => expect(readFigure(text, base)).toBeNull());

test('an inch that is written is 25.4 of what the bare figure is, whatever the figure', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 99_999 }), fc.constantFrom(' in', '"', 'in', ' inch'), (n, unit) => {
      const text = (n / 1000).toFixed(3);
      expect(readFigure(`${text}${unit}`, 'mm')).toBeCloseTo(25.4 * (readFigure(text, 'mm') ?? NaN), 6);
    }),
  );
});
