import { View } from 'react-native';
import { Button } from './Button.tsx';

interface Props<T extends string> {
  /** What the choice is about, for who cannot see it. */
  readonly label: string;
  readonly options: readonly (readonly [T, string])[];
  readonly value: T | undefined;
  readonly onChange: (value: T) => void;
}

/** One of a few, side by side; on a narrow screen they go on in the next line before a word is broken. */
export const Segments = <T extends string>({ label, options, value, onChange }: Props<T>) => (
  <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
    {options.map(([id, name]) => (
      <Button
        key={id}
        className="grow"
        label={name}
        variant={value === id ? 'chosen' : 'plain'}
        checked={value === id}
        onPress={() => onChange(id)}
      />
    ))}
  </View>
);
