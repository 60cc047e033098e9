import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  perKm: 'per km',
  thatIs: (figure: Value, unit: Value) => `${figure} ${unit}`,
  thatIsNoFigure: 'That is not one figure. Type it like 18.05, 11/16 or 44 1/4 in.',
  fractionStroke: 'fraction stroke',
  prefersColorSchemeDark: '(prefers-color-scheme: dark)',
  prefersReducedMotionReduce: '(prefers-reduced-motion: reduce)',
  suchAs: (example: Value) => `such as ${example}`,
  thisScreenBroke: 'This screen broke',
  whatYouRecordedIsKept: 'What you recorded is kept on this device. Try again; if it breaks again, go back to the bench.',
});
