import { t } from '@patient-badger/wording/design';
import { Pressable, View } from 'react-native';
import { Button } from './Button.tsx';
import { Text } from './Text.tsx';

/** A number key. */
export const Key = ({ label, onPress }: { label: string; onPress: () => void }) => (
  <Pressable
    role="button"
    aria-label={label === '/' ? t.fractionStroke : label}
    onPress={onPress}
    style={{ width: '31.5%' }}
    className="h-[54px] items-center justify-center rounded-md border-2 border-line bg-paper active:opacity-60"
  >
    <Text variant="figure">{label}</Text>
  </Pressable>
);

interface ChoiceProps {
  readonly label: string;
  readonly detail?: string | undefined;
  readonly chosen: boolean;
  readonly className: string;
  readonly onPress: () => void;
}

/** One of several small keys; the chosen one is filled. */
export const Choice = ({ label, detail, chosen, className, onPress }: ChoiceProps) => (
  <Pressable
    role="radio"
    aria-checked={chosen}
    aria-label={detail ? `${label}, ${detail} mm` : label}
    onPress={onPress}
    className={`items-center justify-center rounded-md border-2 px-1 active:opacity-70 ${chosen ? 'border-accent bg-accent' : 'border-line bg-surface'} ${className}`}
  >
    <Text variant="label" className={`text-center ${chosen ? 'text-onaccent' : 'text-ink'}`}>
      {label}
    </Text>
    {detail ? (
      <Text variant="label" className={chosen ? 'text-onaccent' : 'text-soft'}>
        {detail}
      </Text>
    ) : null}
  </Pressable>
);

/** A whole number by plus and minus. */
export function Stepper({ ask, value, onChange }: { ask: string; value: number; onChange: (value: number) => void }) {
  return (
    <View className="flex-row items-center gap-2">
      <Text className="flex-1">{ask}</Text>
      <Button className="w-[56px]" label="−" onPress={() => onChange(Math.max(1, value - 1))} />
      <Text variant="figure" className="w-[36px] text-center" testID="over">
        {value}
      </Text>
      <Button className="w-[56px]" label="+" onPress={() => onChange(Math.min(200, value + 1))} />
    </View>
  );
}
