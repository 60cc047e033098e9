import { t } from '@patient-badger/wording/design';
import { TextInput, type TextInputProps } from 'react-native';
import { FieldFrame } from './FieldFrame.tsx';
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
  return (
    <FieldFrame label={label} problem={problem}>
      {(field) => <TextInput {...field} placeholder={example && t.suchAs(example)} placeholderTextColor={colours.soft} {...rest} />}
    </FieldFrame>
  );
}
