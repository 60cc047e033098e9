import { t } from '@patient-badger/wording/setup';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Path } from 'react-native-svg';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import type { DeskProps } from './DeskProps.ts';

type Way = 'clockwise' | 'counter-clockwise';
const ROLLERS = [0, 60, 120, 180, 240, 300];

/** Which way a one-way clutch drives, drawn; tried by hand before it is shut in. */
export function OneWayDesk({ onSet }: DeskProps) {
  const [way, setWay] = useState<Way>('clockwise');
  return (
    <Card>
      <Segments
        label={t.seenFromTheSideThat}
        options={[
          ['clockwise', t.clockwise],
          ['counter-clockwise', t.counterClockwise],
        ]}
        value={way}
        onChange={setWay}
      />
      <ClutchDrawing way={way} />
      <Text>{t.byHandOuterPartHeld(way)}</Text>
      <Button variant="primary" label={t.itLocksThatWayAnd} testID="one-way-set" onPress={() => onSet(t.oneWayClutchLocksFree(way))} />
    </Card>
  );
}

/** Inner part with its ramps, rollers wedged into the narrow ends, and the outer ring; the arrow is the way it drives. */
function ClutchDrawing({ way }: { way: Way }) {
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
