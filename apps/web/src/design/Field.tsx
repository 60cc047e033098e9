import { t } from '@patient-badger/wording/design';
import { useId } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { Problem } from './Problem.tsx';
import { Text } from './Text.tsx';
import { useColours } from './useColours.ts';

interface Props extends TextInputProps {
  readonly label: string;
  readonly problem?: string | undefined;
  /** Shown in the empty field, in words that nobody takes for a figure already there. */
  readonly example?: string | undefined;
}

/** A text field with its label above and what is wrong with it below. */
export function Field({ label, problem, example, ...rest }: Props) {
  const colours = useColours();
  const describedBy = useId();
  return (
    <View className="gap-1">
      <Text variant="label" className="text-ink">
        {label}
      </Text>
      <TextInput
        aria-label={label}
        aria-invalid={problem !== undefined}
        {...(problem !== undefined && { 'aria-describedby': describedBy })}
        placeholder={example && t.suchAs(example)}
        placeholderTextColor={colours.soft}
        className={`min-h-[52px] rounded-md border-2 bg-surface px-3 py-2 font-body text-[17px] text-ink ${problem ? 'border-danger' : 'border-line'}`}
        {...rest}
      />
      <Problem text={problem} id={describedBy} />
    </View>
  );
}
