import { t } from '@patient-badger/wording/items';
import { jobBill, type BillLine } from '@patient-badger/core/job';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { countedName } from '../wording/countedName.ts';
import { minutesText, money } from '../wording/words.ts';
import { ITEM_STATES } from './itemWords.ts';

/** What the job used, line by line, with the work at the shop's rate. */
export function BillCard({ view: { state, pack } }: { view: JobView }) {
  const shop = useShop().data;
  const currency = shop?.currency ?? 'EUR';
  const bill = jobBill(state, pack, shop?.rateMinor ?? 0);
  const rate = money(shop?.rateMinor ?? 0, currency);
  return (
    <Card tone="sunken" testID="bill">
      <Text variant="head">{t.whatItComesTo}</Text>
      {bill.lines.length === 0 ? <Text variant="soft">{t.noPartYet}</Text> : null}
      {bill.lines.map((line) => (
        <Line
          key={line.id}
          name={lineText(line)}
          sum={line.eachMinor === null ? t.noPrice : money(line.count * line.eachMinor, currency)}
        />
      ))}
      <Line
        name={t.workAtAnHour(minutesText(bill.minutes), rate)}
        under={whoseMinutes(bill.minutesNoted, state.closed !== null)}
        sum={money(bill.labourMinor, currency)}
      />
      <View className="border-t-2 border-line pt-2">
        <Line name={t.together} sum={money(bill.totalMinor, currency)} strong />
      </View>
      {bill.unpriced > 0 ? (
        <Text variant="danger">{t.theSumIsShortBy(bill.unpriced === 1 ? t.onePartHasNoPrice : t.partsHaveNoPrice(bill.unpriced))}</Text>
      ) : null}
    </Card>
  );
}

const whoseMinutes = (noted: boolean, isClosed: boolean): string => {
  if (noted) return t.minutesAsWrittenDown;
  return t.minutesAsTheFamilyReckons(isClosed ? '' : t.writeDownYourOwnBelow);
};

const lineText = ({ name, count, partNumber, state }: BillLine) =>
  `${countedName({ name, count })}${partNumber && partNumber !== name ? ` (${partNumber})` : ''}, ${ITEM_STATES[state].toLowerCase()}`;

function Line({ name, under, sum, strong }: { name: string; under?: string; sum: string; strong?: boolean }) {
  return (
    <View className="flex-row items-baseline gap-3">
      <View className="min-w-0 flex-1">
        <Text variant={strong ? 'strong' : 'body'}>{name}</Text>
        {under ? <Text variant="soft">{under}</Text> : null}
      </View>
      <Text variant="strong" className="shrink-0">
        {sum}
      </Text>
    </View>
  );
}
