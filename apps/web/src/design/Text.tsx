import { Text as Plain, type TextProps } from 'react-native';

const VARIANTS = {
  body: ['font-body text-[17px] leading-6', 'text-ink'],
  strong: ['font-strong text-[17px] leading-6', 'text-ink'],
  soft: ['font-body text-[15px] leading-5', 'text-soft'],
  title: ['font-head text-[26px] leading-8', 'text-ink'],
  head: ['font-head text-[20px] leading-6', 'text-ink'],
  label: ['font-figure text-[15px] leading-5', 'text-soft'],
  figure: ['font-figure text-[22px] leading-7', 'text-ink'],
  danger: ['font-strong text-[16px] leading-6', 'text-danger'],
} as const;

const COLOUR = /\btext-(ink|soft|accent|onaccent|heat|danger|good)\b/;

/** Text in one of the shop's sizes. A colour in `className` takes the place of the variant's own: two at once would be settled by the style sheet's order. */
export function Text({ variant = 'body', className = '', ...rest }: TextProps & { variant?: keyof typeof VARIANTS; className?: string }) {
  const [shape, colour] = VARIANTS[variant];
  const level = variant === 'title' ? 1 : 2;
  const heading = variant === 'title' || variant === 'head' ? ({ role: 'heading', 'aria-level': level } as const) : {};
  return <Plain className={`${shape} ${COLOUR.test(className) ? '' : colour} ${className}`} {...heading} {...rest} />;
}
