import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import type { DeskProps } from './DeskProps.ts';

/** A lip seal the right way round: its lip and its spring to the oil. */
export const SealDesk = ({ onSet }: DeskProps) => (
  <Card>
    <SealDrawing />
    <Text>{t.lipAndGarterSpringLook}</Text>
    <Button variant="primary" label={t.theLipLooksToThe} testID="seal-set" onPress={() => onSet(t.lipSealInLipTo)} />
  </Card>
);

/** Cut through one side: shaft below, case above, oil on the left. */
function SealDrawing() {
  const colours = useColours();
  return (
    <View className="items-center" role="img" aria-label={t.aLipSealCutThrough} testID="seal-drawing">
      <Svg width={300} height={180} viewBox="0 0 300 180" aria-hidden>
        <Rect x={0} y={140} width={300} height={40} fill={colours.line} />
        <Rect x={110} y={0} width={110} height={34} fill={colours.line} />
        <Rect x={0} y={34} width={110} height={106} fill={colours.accent} opacity={0.14} />
        <Path
          d="M 118 38 L 206 38 L 206 60 L 206 106 L 192 106 L 192 56 L 176 56 L 150 112 L 142 138 L 124 112 L 136 100 L 160 52 L 118 52 Z"
          fill={colours.soft}
          stroke={colours.ink}
          strokeWidth={3}
        />
        <Circle cx={134} cy={106} r={8} fill={colours.surface} stroke={colours.ink} strokeWidth={3} />
        <Line x1={40} y1={158} x2={260} y2={158} stroke={colours.ink} strokeWidth={1.5} strokeDasharray="10 5" />
        <SvgText x={20} y={92} fontSize={17} fill={colours.ink}>
          {t.oil}
        </SvgText>
        <SvgText x={228} y={92} fontSize={17} fill={colours.ink}>
          {t.outside}
        </SvgText>
        <SvgText x={16} y={176} fontSize={14} fill={colours.ink}>
          {shared.shaft}
        </SvgText>
        <SvgText x={116} y={22} fontSize={14} fill={colours.ink}>
          {t.case2}
        </SvgText>
      </Svg>
    </View>
  );
}
