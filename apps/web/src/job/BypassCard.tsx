import { bypassPrices, type WorkPrice } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/trace';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, money } from '../wording/words.ts';
import type { JobView } from './JobView.ts';

/** What can be done without setting it right, and what setting it right still costs from here: before the first screw, and at every opening. */
export function BypassCard({ view: { pack, state, trace } }: { view: JobView }) {
  const shop = useShop().data;
  const rateMinor = shop?.rateMinor ?? 0;
  const prices = useMemo(
    () => bypassPrices(pack, state, { suspects: trace.suspects, rateMinor }),
    [pack, state, trace.suspects, rateMinor],
  );
  if (!prices || (prices.bypasses.length === 0 && state.reached.length === 0) || state.closingDone.length > 0) return null;
  const { bypasses, leftAsItIs, setRight } = prices;
  const text = ({ minutes, priceMinor }: WorkPrice) =>
    priceMinor === null ? minutesText(minutes) : t.minutesAndMoney(minutesText(minutes), money(priceMinor, shop?.currency ?? 'EUR'));
  return (
    <Card tone="sunken" testID="bypass-prices">
      <Text variant="label">{t.withoutSettingItRight}</Text>
      {bypasses.map(({ remedy, ...price }) => (
        <View key={remedy.id} className="gap-1">
          <Text variant="strong">{t.wayAndPrice(remedy.name, text(price))}</Text>
          <Text variant="soft">{remedy.leaves}</Text>
        </View>
      ))}
      <Text>{t.wayAndPrice(t.leftAsItIs, text(leftAsItIs))}</Text>
      {setRight ? <Text>{t.wayAndPrice(t.setRightFromHere, text(setRight))}</Text> : null}
    </Card>
  );
}
