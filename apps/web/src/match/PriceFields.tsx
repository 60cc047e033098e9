import { t } from '@patient-badger/wording/orders';
import { t as items } from '@patient-badger/wording/items';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Field } from '../design/Field.tsx';
import type { TypedPrice } from './readPrice.ts';

interface Props {
  readonly typed: TypedPrice;
  readonly problems: Readonly<Partial<Record<keyof TypedPrice, string>>>;
  readonly onChange: (typed: TypedPrice) => void;
}

/** From whom, for how much, and in how many days. */
export const PriceFields = ({ typed, problems, onChange }: Props) => (
  <>
    <Field
      label={shared.fromWhom}
      value={typed.supplier}
      onChangeText={(supplier) => onChange({ ...typed, supplier })}
      problem={problems.supplier}
      maxLength={80}
      testID="price-supplier"
    />
    <View className="flex-row flex-wrap gap-2">
      <View className="min-w-[140px] flex-1">
        <Field
          label={items.priceOfOne}
          value={typed.price}
          onChangeText={(price) => onChange({ ...typed, price })}
          problem={problems.price}
          inputMode="decimal"
          testID="price-of-one"
        />
      </View>
      <View className="min-w-[140px] flex-1">
        <Field
          label={t.days}
          value={typed.days}
          onChangeText={(days) => onChange({ ...typed, days })}
          problem={problems.days}
          inputMode="numeric"
          testID="price-days"
        />
      </View>
    </View>
  </>
);
