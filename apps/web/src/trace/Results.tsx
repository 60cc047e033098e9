import { t } from '@patient-badger/wording/trace';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';

interface Props {
  readonly results: readonly { readonly result: string; readonly parts?: readonly [string, string] }[];
  readonly nameOf: (result: string) => string;
  readonly disabled: boolean;
  /** Whether the digits press them. */
  readonly keys: boolean;
  readonly before: string | undefined;
  readonly onSay: (result: string) => void;
}

/** What can be seen, one big button each; on the counter by its number. */
export function Results({ results: all, nameOf, disabled, keys, before, onSay }: Props) {
  const results = all.filter(({ parts }) => !parts);
  const twos = all.filter(({ parts }) => parts);
  const [several, setSeveral] = useState(false);
  const pressed = results.map(({ result }, i) => [String(i + 1), () => onSay(result)] as const);
  useKeys(disabled || !keys || several ? {} : Object.fromEntries(pressed));
  if (several) return <TwoAtOnce {...{ results, twos, nameOf, disabled, onSay }} onOne={() => setSeveral(false)} />;
  return (
    <View className="gap-3">
      {results.map(({ result }, i) => (
        <Button
          key={result}
          big
          disabled={disabled}
          label={nameOf(result)}
          detail={before === result ? t.seenBefore : undefined}
          testID={`result-${result}`}
          onPress={() => onSay(result)}
          icon={<KeyHint number={i + 1} />}
        />
      ))}
      {twos.length > 0 ? (
        <Button variant="quiet" disabled={disabled} label={t.iSeeTwoOfThese} testID="two-at-once" onPress={() => setSeveral(true)} />
      ) : null}
    </View>
  );
}

interface TwoProps extends Pick<Props, 'results' | 'nameOf' | 'disabled' | 'onSay'> {
  readonly twos: Props['results'];
  readonly onOne: () => void;
}

/** Two things in one sight: torn teeth and a rough bearing under the same lamp. */
function TwoAtOnce({ results, twos, nameOf, disabled, onSay, onOne }: TwoProps) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const both = twos.find(({ parts }) => chosen.length === 2 && parts?.every((each) => chosen.includes(each)));
  const offered = results.filter(({ result }) => twos.some(({ parts }) => parts?.includes(result)));
  const toggle = (result: string) =>
    setChosen(chosen.includes(result) ? chosen.filter((each) => each !== result) : [...chosen, result].slice(-2));
  return (
    <View className="gap-3">
      <Text variant="soft">{t.pressTheTwoThatYou}</Text>
      {offered.map(({ result }) => (
        <Button
          key={result}
          big
          disabled={disabled}
          label={nameOf(result)}
          variant={chosen.includes(result) ? 'chosen' : 'plain'}
          checked={chosen.includes(result)}
          testID={`part-${result}`}
          onPress={() => toggle(result)}
        />
      ))}
      <Button
        variant="primary"
        big
        disabled={disabled || !both}
        label={both ? nameOf(both.result) : t.twoOfThem}
        testID="say-two"
        onPress={() => both && onSay(both.result)}
      />
      <Button variant="quiet" label={t.onlyOneOfThem} onPress={onOne} />
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
