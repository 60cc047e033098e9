import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';

interface Props {
  readonly results: readonly { readonly result: string; readonly name: string }[];
  readonly disabled: boolean;
  /** Whether the digits press them. */
  readonly keys: boolean;
  readonly before: string | undefined;
  readonly onSay: (result: string) => void;
}

/** What can be seen, one big button each; on the counter by its number. */
export function Results({ results, disabled, keys, before, onSay }: Props) {
  const pressed = results.map(({ result }, i) => [String(i + 1), () => onSay(result)] as const);
  useKeys(disabled || !keys ? {} : Object.fromEntries(pressed));
  return (
    <View className="gap-3">
      {results.map(({ result, name }, i) => (
        <Button
          key={result}
          big
          disabled={disabled}
          label={name}
          detail={before === result ? 'Seen before' : undefined}
          testID={`result-${result}`}
          onPress={() => onSay(result)}
          icon={<KeyHint number={i + 1} />}
        />
      ))}
    </View>
  );
}

const KeyHint = ({ number }: { number: number }) => (
  <View aria-hidden className="h-8 w-8 items-center justify-center rounded-full bg-sunken">
    <Text variant="label" className="text-ink">
      {number}
    </Text>
  </View>
);
