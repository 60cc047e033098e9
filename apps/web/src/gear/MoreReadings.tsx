import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';

interface Props<Quantity extends string> {
  readonly quantities: readonly Quantity[];
  readonly values: Readonly<Partial<Record<Quantity, string>>>;
  readonly words: Readonly<Record<Quantity, { readonly short: string }>>;
  readonly onPick: (quantity: Quantity) => void;
}

/** What cannot be pointed at in the drawing. */
export const MoreReadings = <Quantity extends string>({ quantities, values, words, onPick }: Props<Quantity>) => (
  <View className="flex-row gap-2">
    {quantities.map((quantity) => (
      <Button
        key={quantity}
        className="flex-1"
        label={words[quantity].short}
        detail={values[quantity] ?? shared.measure}
        testID={`callout-${quantity}`}
        onPress={() => onPick(quantity)}
      />
    ))}
  </View>
);
