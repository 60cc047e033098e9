import { useId } from 'react';
import { View } from 'react-native';
import { Problem } from './Problem.tsx';
import { Text } from './Text.tsx';

interface Props {
  readonly label: string;
  /** A day as 2026-12-24; empty where none is picked. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly problem?: string | undefined;
  readonly testID?: string | undefined;
}

/** A day, picked in the calendar of the device: nobody types one. */
export function DateField({ label, value, onChange, problem, testID }: Props) {
  const describedBy = useId();
  return (
    <View className="gap-1">
      <Text variant="label" className="text-ink">
        {label}
      </Text>
      <input
        type="date"
        aria-label={label}
        aria-invalid={problem !== undefined}
        {...(problem !== undefined && { 'aria-describedby': describedBy })}
        data-testid={testID}
        value={value}
        max="9999-12-31"
        onChange={(event) => onChange(event.target.value)}
        className={`min-h-[52px] rounded-md border-2 bg-surface px-3 py-2 font-body text-[17px] text-ink ${problem ? 'border-danger' : 'border-line'}`}
      />
      <Problem text={problem} id={describedBy} />
    </View>
  );
}
