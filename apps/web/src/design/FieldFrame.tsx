import { useId, type ReactNode } from 'react';
import { View } from 'react-native';
import { Problem } from './Problem.tsx';
import { Text } from './Text.tsx';

interface Props {
  readonly label: string;
  readonly problem: string | undefined;
  /** What is typed or picked in, with the names and the box that every field has. */
  readonly children: (field: {
    readonly 'aria-label': string;
    readonly 'aria-invalid': boolean;
    readonly 'aria-describedby'?: string;
    readonly className: string;
  }) => ReactNode;
}

/** A field with its label above and what is wrong with it below. */
export function FieldFrame({ label, problem, children }: Props) {
  const describedBy = useId();
  return (
    <View className="gap-1">
      <Text variant="label" className="text-ink">
        {label}
      </Text>
      {children({
        'aria-label': label,
        'aria-invalid': problem !== undefined,
        ...(problem !== undefined && { 'aria-describedby': describedBy }),
        className: `min-h-[52px] rounded-md border-2 bg-surface px-3 py-2 font-body text-[17px] text-ink ${problem ? 'border-danger' : 'border-line'}`,
      })}
      <Problem text={problem} id={describedBy} />
    </View>
  );
}
