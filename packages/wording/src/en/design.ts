import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  fontFigureText15pxLeading: 'font-figure text-[15px] leading-5',
  fontHeadText26pxLeading: 'font-head text-[26px] leading-8',
  fractionStroke: 'fraction stroke',
  minWidthPx: (wIDE_PX: Value) => `(min-width: ${wIDE_PX}px)`,
  prefersColorSchemeDark: '(prefers-color-scheme: dark)',
  prefersReducedMotionReduce: '(prefers-reduced-motion: reduce)',
  suchAs: (example: Value) => `such as ${example}`,
  thisScreenBroke: 'This screen broke',
  whatYouRecordedIsKept: 'What you recorded is kept on this device. Try again; if it breaks again, go back to the bench.',
});
