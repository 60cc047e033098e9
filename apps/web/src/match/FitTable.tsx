import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import type { AttributeFit } from '@patient-badger/core/parts';
import Check from 'lucide-react-native/icons/check';
import CircleHelp from 'lucide-react-native/icons/circle-question-mark';
import Hammer from 'lucide-react-native/icons/hammer';
import X from 'lucide-react-native/icons/x';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { useColours, type Colours } from '../design/useColours.ts';
import { attributeName, attributeValue, fitText } from '../wording/attributeWords.ts';
import { DifferenceBar, hasBar } from './DifferenceBar.tsx';

/** The fit, attribute by attribute: both sides, the verdict, and how far off on a bar. */
export function FitTable({ attributes }: { attributes: readonly AttributeFit[] }) {
  const colours = useColours();
  return (
    <View role="table" aria-label={t.fitAttributeByAttribute}>
      <View role="row" className="flex-row border-b-2 border-line py-1">
        <Text role="columnheader" variant="label" className="w-[38%]">
          {t.attribute}
        </Text>
        <Text role="columnheader" variant="label" className="w-[31%]">
          {t.wanted}
        </Text>
        <Text role="columnheader" variant="label" className="w-[31%]">
          {shared.part}
        </Text>
      </View>
      {attributes.map((attribute) => (
        <View key={attribute.name} role="row" className="border-b border-line py-1">
          <View className="flex-row">
            <Text role="cell" className="w-[38%]">
              {attributeName(attribute.name)}
            </Text>
            <Text role="cell" className="w-[31%]">
              {attribute.wanted === undefined ? shared.notKnown : attributeValue(attribute.name, attribute.wanted)}
            </Text>
            <Text role="cell" className="w-[31%]">
              {attribute.part === undefined ? t.notGiven : attributeValue(attribute.name, attribute.part)}
            </Text>
          </View>
          <View role="cell" className="flex-row items-center gap-2">
            {sign(attribute.state, colours)}
            <Text variant="soft">{fitText(attribute)}</Text>
          </View>
          {hasBar(attribute) ? <DifferenceBar fit={attribute} /> : null}
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
