import { FieldFrame } from './FieldFrame.tsx';

interface Props {
  readonly label: string;
  /** A day as 2026-12-24; empty where none is picked. */
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly problem?: string | undefined;
  readonly testID?: string | undefined;
}

/** A day, picked in the calendar of the device: nobody types one. */
export const DateField = ({ label, value, onChange, problem, testID }: Props) => (
  <FieldFrame label={label} problem={problem}>
    {(field) => (
      <input
        type="date"
        {...field}
        data-testid={testID}
        value={value}
        max="9999-12-31"
        onChange={(event) => onChange(event.target.value)}
      />
    )}
  </FieldFrame>
);
