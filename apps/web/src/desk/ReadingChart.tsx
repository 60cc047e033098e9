import { t } from '@patient-badger/wording/ratio';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';

export interface Curve {
  readonly name: string;
  /** Two curves are told apart by their stroke, not by colour alone. */
  readonly broken?: boolean;
  readonly points: readonly (readonly [x: number, y: number])[];
}

export interface ChartProps {
  readonly label: string;
  readonly across: string;
  readonly up: string;
  readonly curves: readonly Curve[];
  /** A line to measure against. */
  readonly zero?: boolean | undefined;
}

const [WIDTH, HEIGHT] = [340, 210];
const EDGE = { left: 46, right: 10, top: 10, bottom: 34 };

/** Curves over a common ground: how far off over speed, turns over speed. */
export function ReadingChart({ label, across, up, curves, zero = false }: ChartProps) {
  const colours = useColours();
  const all = curves.flatMap(({ points }) => points);
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const x = scaleLinear([Math.min(0, ...xs), Math.max(...xs)], [EDGE.left, WIDTH - EDGE.right]);
  const y = scaleLinear(
    [Math.min(...(zero ? [0] : []), ...ys), Math.max(...(zero ? [0] : []), ...ys)],
    [HEIGHT - EDGE.bottom, EDGE.top],
  ).nice(5);
  const path = line<readonly [number, number]>(
    ([at]) => x(at),
    ([, at]) => y(at),
  );
  return (
    <View className="items-center gap-1" role="img" aria-label={label}>
      <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        {y.ticks(5).map((tick) => (
          <G key={tick}>
            <Line
              x1={EDGE.left}
              x2={WIDTH - EDGE.right}
              y1={y(tick)}
              y2={y(tick)}
              stroke={colours.line}
              strokeWidth={tick === 0 ? 2.5 : 1}
            />
            <SvgText x={EDGE.left - 6} y={y(tick) + 5} fontSize={13} textAnchor="end" fill={colours.soft}>
              {tick}
            </SvgText>
          </G>
        ))}
        {x.ticks(5).map((tick) => (
          <SvgText key={tick} x={x(tick)} y={HEIGHT - 16} fontSize={13} textAnchor="middle" fill={colours.soft}>
            {tick}
          </SvgText>
        ))}
        {curves.map(({ name, broken, points }) => (
          <Path
            key={name}
            d={path([...points]) ?? ''}
            fill="none"
            stroke={broken ? colours.heat : colours.accent}
            strokeWidth={3}
            {...(broken && { strokeDasharray: '8 5' })}
          />
        ))}
      </Svg>
      <Text variant="soft">{t.upAcross(up, across)}</Text>
      <Text variant="soft">{curves.map(({ name, broken }) => t.line(broken ? t.broken : t.full, name)).join('. ')}.</Text>
    </View>
  );
}
