import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Text } from './Text.tsx';

const VARIANTS = {
  primary: ['bg-accent border-accent', 'text-onaccent'],
  plain: ['bg-surface border-line', 'text-ink'],
  quiet: ['bg-transparent border-transparent', 'text-accent'],
  danger: ['bg-surface border-danger', 'text-danger'],
  chosen: ['bg-surface border-accent', 'text-ink'],
} as const;

interface Props {
  readonly label: string;
  readonly onPress: () => void;
  readonly variant?: keyof typeof VARIANTS | undefined;
  readonly detail?: string | undefined;
  readonly icon?: ReactNode | undefined;
  readonly disabled?: boolean | undefined;
  readonly big?: boolean | undefined;
  readonly className?: string | undefined;
  readonly checked?: boolean | undefined;
  /** One of several that may be checked together. */
  readonly several?: boolean | undefined;
  readonly testID?: string | undefined;
}

/** A target for a gloved thumb: never under 48 px. */
export function Button({
  label,
  onPress,
  variant = 'plain',
  detail,
  icon,
  disabled = false,
  big = false,
  className = '',
  checked,
  several = false,
  testID,
}: Props) {
  const [box, text] = VARIANTS[variant];
  const choice = several ? 'checkbox' : 'radio';
  const centred = variant === 'primary' && !detail;
  return (
    <Pressable
      role={checked === undefined ? 'button' : choice}
      aria-checked={checked}
      aria-label={detail ? `${label}. ${detail}` : label}
      aria-disabled={disabled}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      className={`flex-row items-center gap-3 rounded-md border-2 px-4 ${big ? 'min-h-[64px] py-3' : 'min-h-[48px] py-2'} ${box} ${centred ? 'justify-center' : ''} ${disabled ? 'opacity-40' : 'active:opacity-70'} ${className}`}
    >
      {checked === undefined ? null : <Dot filled={checked} square={several} />}
      {icon}
      <View className={icon && centred ? '' : 'min-w-0 shrink grow'}>
        <Text variant="strong" className={`${text} ${centred ? 'text-center' : ''}`}>
          {/* The space parts the two for who hears them in one: the name has these very words. */}
          {detail ? `${label} ` : label}
        </Text>
        {detail ? (
          <Text variant="soft" className={variant === 'primary' ? 'text-onaccent' : ''}>
            {detail}
          </Text>
        ) : null}
      </View>
    </Pressable>
  );
}

/** Chosen or not, told by shape and not by colour alone. */
const Dot = ({ filled, square }: { filled: boolean; square: boolean }) => (
  <View
    aria-hidden
    className={`h-5 w-5 items-center justify-center border-2 ${square ? 'rounded-sm' : 'rounded-full'} ${filled ? 'border-accent' : 'border-soft'}`}
  >
    {filled ? <View className={`h-[10px] w-[10px] bg-accent ${square ? '' : 'rounded-full'}`} /> : null}
  </View>
);
