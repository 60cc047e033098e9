import { View } from 'react-native';
import { Field } from './Field.tsx';

interface Props<Name extends string> {
  readonly typed: Readonly<Partial<Record<Name, string>>>;
  readonly fields: readonly (readonly [name: Name, label: string])[];
  readonly onChange: (change: Partial<Record<Name, string>>) => void;
  readonly testID: (name: Name) => string;
  readonly problems?: Readonly<Partial<Record<Name, string>>> | undefined;
}

/** Figures side by side, as they are typed; they go on in the next line before a field gets too narrow. */
export const Figures = <Name extends string>({ typed, fields, onChange, testID, problems }: Props<Name>) => (
  <View className="flex-row flex-wrap gap-2">
    {fields.map(([name, label]) => (
      <View key={name} className="min-w-[140px] flex-1">
        <Field
          label={label}
          inputMode="decimal"
          value={typed[name] ?? ''}
          onChangeText={(text) => onChange({ [name]: text } as Partial<Record<Name, string>>)}
          problem={problems?.[name]}
          testID={testID(name)}
        />
      </View>
    ))}
  </View>
);
