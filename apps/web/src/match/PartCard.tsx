import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import type { AttributeFit } from '@patient-badger/core/parts';
import type { PartMatch } from '@patient-badger/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { money } from '../wording/words.ts';
import { attributeName, fitText } from '../wording/attributeWords.ts';
import { DifferenceBar, hasBar } from './DifferenceBar.tsx';
import { FitTable } from './FitTable.tsx';
import { NamedInstead } from './NamedInstead.tsx';
import { offersOf, waitText } from './offers.ts';

interface Props {
  readonly match: PartMatch;
  readonly chosen: boolean;
  readonly onChoose?: (() => void) | undefined;
  readonly machineModel?: string | undefined;
}

/** One part: whether it fits, what decides it, who sells it, and the whole table for who wants it. */
export function PartCard({ match: { part, fit, claimedBy, refusedBefore }, chosen, onChoose, machineModel }: Props) {
  const [table, setTable] = useState(false);
  const currency = useShop().data?.currency ?? 'EUR';
  const contradiction = fit.attributes.find(({ name }) => name === fit.contradiction);
  const [cheapest, ...others] = offersOf(part);
  if (!cheapest) return null;
  return (
    <Card tone={chosen ? 'next' : 'plain'}>
      {contradiction ? (
        <Text variant="danger">
          {t.itFitsByItsIt(
            claimedBy.join(shared.and2) || t.itsListing,
            claimedBy.length > 1 ? t.say : t.says,
            machineModel ?? '',
            attributeName(contradiction.name).toLowerCase(),
            fitText(contradiction),
          )}
        </Text>
      ) : null}
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="strong" className="flex-1">
          {part.partNumber} · {part.name}
        </Text>
        <Text variant="figure">{money(cheapest.priceMinor, currency)}</Text>
      </View>
      <Meter chance={fit.probability} />
      <Verdict attributes={fit.attributes} deciding={fit.deciding} />
      <Text variant="soft">
        {cheapest.supplier}, {waitText(cheapest)}.
        {others.map((each) => ` ${each.supplier} ${money(each.priceMinor, currency)}, ${waitText(each)}.`).join('')}
      </Text>
      {refusedBefore > 0 ? (
        <Text variant="danger" testID={`came-wrong-${part.partNumber}`}>
          {t.cameWrongBeforeUnderThis(refusedBefore === 1 ? shared.once : shared.times(refusedBefore))}
        </Text>
      ) : null}
      <NamedInstead part={part} />
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          label={table ? t.hideTheTable : t.fitTable}
          testID={`table-${part.partNumber}`}
          onPress={() => setTable(!table)}
        />
        {onChoose ? (
          <Button
            className="flex-1"
            variant={chosen ? 'chosen' : 'primary'}
            label={chosen ? t.chosen : t.choose}
            testID={`choose-${part.partNumber}`}
            onPress={onChoose}
          />
        ) : null}
      </View>
      {table ? <FitTable attributes={fit.attributes} /> : null}
    </Card>
  );
}

/** What must be worked or does not fit, each on its bar; what nobody has said; what the chance hangs on. */
export function Verdict({ attributes, deciding }: { attributes: readonly AttributeFit[]; deciding: string | null }) {
  const off = attributes.filter(({ state }) => state === 'fitsAfterWork' || state === 'doesNotFit');
  const unknown = attributes.filter(({ state }) => state === 'unknown');
  const least = attributes.find(({ name, state }) => name === deciding && state === 'fits');
  return (
    <>
      {off.map((difference) => (
        <View key={difference.name} className="gap-1">
          <Text>
            {attributeName(difference.name)}: {fitText(difference)}
          </Text>
          {hasBar(difference) ? <DifferenceBar fit={difference} /> : null}
        </View>
      ))}
      {unknown.length > 0 ? (
        <Text>{t.notKnownAskOrMeasure(unknown.map(({ name }) => attributeName(name).toLowerCase()).join(', '))}</Text>
      ) : null}
      {least ? <Text variant="soft">{t.leastSure(attributeName(least.name).toLowerCase(), fitText(least))}</Text> : null}
    </>
  );
}
