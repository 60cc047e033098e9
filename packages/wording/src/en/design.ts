import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  perKm: 'per km',
  perMile: 'per mile',
  thatIs: (figure: Value, unit: Value) => `${figure} ${unit}`,
  noFigure: 'That is not one figure. Type it like 18.05 or 11/16.',
  noLength: 'That is not one length. Type it like 18.05, 11/16 or 44 1/4 in.',
  noPerKm: 'That is not one count. Type it like 530, or 850 per mile.',
  noTorque: 'That is not one torque. Type it like 12.5, or 9 ft·lb.',
  fractionStroke: 'fraction stroke',
  prefersColorSchemeDark: '(prefers-color-scheme: dark)',
  prefersReducedMotionReduce: '(prefers-reduced-motion: reduce)',
  suchAs: (example: Value) => `such as ${example}`,
  thisScreenBroke: 'This screen broke',
  whatYouRecordedIsKept: 'What you recorded is kept on this device. Try again; if it breaks again, go back to the bench.',
});
