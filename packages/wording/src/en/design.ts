import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  fractionStroke: 'fraction stroke',
  prefersColorSchemeDark: '(prefers-color-scheme: dark)',
  prefersReducedMotionReduce: '(prefers-reduced-motion: reduce)',
  suchAs: (example: Value) => `such as ${example}`,
  thisScreenBroke: 'This screen broke',
  whatYouRecordedIsKept: 'What you recorded is kept on this device. Try again; if it breaks again, go back to the bench.',
});
