import type { ReactNode } from 'react';
import { View } from 'react-native';

const TONES = {
  plain: 'bg-surface border-line',
  next: 'bg-surface border-accent',
  danger: 'bg-dangerwash border-danger',
  sunken: 'bg-sunken border-transparent',
} as const;

export const Card = ({
  children,
  tone = 'plain',
  className = '',
  testID,
}: {
  children: ReactNode;
  tone?: keyof typeof TONES | undefined;
  className?: string | undefined;
  testID?: string | undefined;
}) => (
  <View testID={testID} className={`gap-2 rounded-lg border-2 p-4 ${TONES[tone]} ${className}`}>
    {children}
  </View>
);
