import type { AttributeFit } from '@patient-badger/core';
import type { PartMatch } from '@patient-badger/contract';
import Check from 'lucide-react-native/icons/check';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import Hammer from 'lucide-react-native/icons/hammer';
import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { useColours, type Colours } from '../design/useColours.ts';
import { money } from '../design/words.ts';
import { attributeName, attributeValue, fitText } from './attributeWords.ts';

interface Props {
  readonly match: PartMatch;
  readonly chosen: boolean;
  readonly onChoose?: () => void;
  readonly machineModel?: string;
}

/** One part: whether it fits, what decides it, and the whole table for who wants it. */
export function PartCard({ match: { part, fit }, chosen, onChoose, machineModel }: Props) {
  const [table, setTable] = useState(false);
  const currency = useShop().data?.currency ?? 'EUR';
  const deciding = fit.attributes.find(({ name }) => name === fit.deciding);
  const contradiction = fit.attributes.find(({ name }) => name === fit.contradiction);
  return (
    <Card tone={chosen ? 'next' : 'plain'}>
      {contradiction ? (
        <Text look="danger">
          Says it fits {machineModel}. Its {attributeName(contradiction.name).toLowerCase()} does not: {fitText(contradiction)}.
        </Text>
      ) : null}
      <View className="flex-row items-baseline justify-between gap-2">
        <Text look="strong" className="flex-1">
          {part.partNumber} · {part.name}
        </Text>
        <Text look="figure">{money(part.priceMinor, currency)}</Text>
      </View>
      <Meter chance={fit.probability} />
      <Text look="soft">
        {part.supplier}, {part.stock > 0 ? `${part.stock} there` : `none there, ${part.leadDays} days`}.
        {deciding
          ? ` ${deciding.state === 'fits' ? 'Least sure' : 'It hangs on'}: ${attributeName(deciding.name).toLowerCase()}, ${fitText(deciding)}.`
          : ''}
      </Text>
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          label={table ? 'Hide the table' : 'Fit table'}
          testID={`table-${part.partNumber}`}
          onPress={() => setTable(!table)}
        />
        {onChoose ? (
          <Button
            className="flex-1"
            look={chosen ? 'chosen' : 'primary'}
            label={chosen ? 'Chosen' : 'Choose'}
            testID={`choose-${part.partNumber}`}
            onPress={onChoose}
          />
        ) : null}
      </View>
      {table ? <FitTable attributes={fit.attributes} /> : null}
    </Card>
  );
}

function FitTable({ attributes }: { attributes: readonly AttributeFit[] }) {
  const colours = useColours();
  return (
    <View role="table" aria-label="Fit, attribute by attribute">
      <View role="row" className="flex-row border-b-2 border-line py-1">
        <Text role="columnheader" look="label" className="w-[38%]">
          Attribute
        </Text>
        <Text role="columnheader" look="label" className="w-[31%]">
          Wanted
        </Text>
        <Text role="columnheader" look="label" className="w-[31%]">
          Part
        </Text>
      </View>
      {attributes.map((each) => (
        <View key={each.name} role="row" className="border-b border-line py-1">
          <View className="flex-row">
            <Text role="cell" className="w-[38%]">
              {attributeName(each.name)}
            </Text>
            <Text role="cell" className="w-[31%]">
              {each.wanted === undefined ? 'not known' : attributeValue(each.name, each.wanted)}
            </Text>
            <Text role="cell" className="w-[31%]">
              {each.part === undefined ? 'not given' : attributeValue(each.name, each.part)}
            </Text>
          </View>
          <View role="cell" className="flex-row items-center gap-2">
            {sign(each.state, colours)}
            <Text look="soft">{fitText(each)}</Text>
          </View>
        </View>
      ))}
    </View>
  );
}

function sign(state: AttributeFit['state'], colours: Colours) {
  switch (state) {
    case 'fits':
      return <Check size={18} color={colours.good} />;
    case 'fitsAfterWork':
      return <Hammer size={18} color={colours.heat} />;
    case 'doesNotFit':
      return <X size={18} color={colours.danger} />;
    case 'unknown':
      return <CircleHelp size={18} color={colours.soft} />;
  }
}
