import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useColours } from '../design/useColours.ts';

const ROLLERS = [0, 60, 120, 180, 240, 300];

/** Cut through one side: shaft below, case above, oil on the left. */
export function SealDrawing() {
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

/** Inner part with its ramps, rollers wedged into the narrow ends, and the outer ring; the arrow is the way it drives. */
export function ClutchDrawing({ way }: { way: 'clockwise' | 'counter-clockwise' }) {
  const colours = useColours();
  const mirrored = 'translate(220 0) scale(-1 1)';
  const clockwise = way === 'clockwise';
  return (
    <View className="items-center" role="img" aria-label={t.aOneWayClutchThat(way)} testID="one-way-drawing">
      <Svg width={220} height={220} viewBox="0 0 220 220" aria-hidden>
        <Circle cx={110} cy={110} r={88} fill="none" stroke={colours.ink} strokeWidth={10} />
        <Circle cx={110} cy={110} r={52} fill="none" stroke={colours.ink} strokeWidth={3} />
        {/* Drawn narrowing to the right, which locks counter-clockwise: a roller lags behind the part that drives. */}
        <G {...(clockwise && { transform: mirrored })}>
          {ROLLERS.map((deg) => (
            <G key={deg} transform={`rotate(${deg} 110 110)`}>
              <Path d="M 82 53 L 134 40" stroke={colours.ink} strokeWidth={4} fill="none" />
              <Circle cx={104} cy={37} r={10} fill={colours.soft} stroke={colours.ink} strokeWidth={2} />
            </G>
          ))}
        </G>
        <G {...(!clockwise && { transform: mirrored })}>
          <Path d="M 78 128 A 36 36 0 1 1 138 132" stroke={colours.accent} strokeWidth={6} fill="none" />
          <Path d="M 146 120 L 136 142 L 126 122 Z" fill={colours.accent} />
        </G>
      </Svg>
    </View>
  );
}
