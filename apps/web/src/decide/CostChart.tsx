import { t } from '@patient-badger/wording/decide';
import { scaleLinear } from 'd3-scale';
import { View } from 'react-native';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { money } from '../wording/words.ts';
import type { OptionRow } from './decision.ts';

const [WIDTH, ROW] = [340, 44];
const EDGE = { left: 8, right: 16, top: 6, bottom: 26 };
/** An early end can cost many times the mean: drawn no further than this many times the dearest mean. */
const FURTHEST = 2;

/** What each option costs in a year that it holds: a bar to the mean, a line from the late end of its life to the early one. */
export function CostChart({ ranked, currency }: { ranked: readonly OptionRow[]; currency: string }) {
  const colours = useColours();
  const rows = ranked.flatMap(({ draft, rank }) => (rank ? [{ draft, rank }] : []));
  if (rows.length === 0) return null;
  const most = FURTHEST * Math.max(...rows.map(({ rank }) => rank.costPerYearMinor), 1);
  const x = scaleLinear([0, most], [EDGE.left, WIDTH - EDGE.right]).clamp(true);
  const height = EDGE.top + rows.length * ROW + EDGE.bottom;
  const spoken = rows.map(({ draft, rank }) => `${draft.name} ${money(Math.round(rank.costPerYearMinor), currency)}`).join(', ');
  return (
    <View className="items-center gap-1" role="img" aria-label={t.costAYear(spoken)} testID="cost-chart">
      <Svg width={WIDTH} height={height} viewBox={`0 0 ${WIDTH} ${height}`} aria-hidden>
        {x.ticks(4).map((tick) => (
          <G key={tick}>
            <Line x1={x(tick)} x2={x(tick)} y1={EDGE.top} y2={height - EDGE.bottom} stroke={colours.line} strokeWidth={1} />
            <SvgText x={x(tick)} y={height - 8} fontSize={13} textAnchor="middle" fill={colours.soft}>
              {Math.round(tick / 100)}
            </SvgText>
          </G>
        ))}
        {rows.map(({ draft, rank }, i) => {
          const y = EDGE.top + i * ROW;
          return (
            <G key={draft.option}>
              <SvgText x={EDGE.left} y={y + 14} fontSize={14} fill={colours.ink}>
                {shortened(draft.name)}
              </SvgText>
              <Rect
                x={EDGE.left}
                y={y + 20}
                width={Math.max(2, x(rank.costPerYearMinor) - EDGE.left)}
                height={14}
                fill={i === 0 ? colours.accent : colours.soft}
              />
              <Line
                x1={x(rank.costPerYear90Minor)}
                x2={x(rank.costPerYear10Minor)}
                y1={y + 27}
                y2={y + 27}
                stroke={colours.ink}
                strokeWidth={2}
              />
              {[rank.costPerYear90Minor, rank.costPerYear10Minor].map((end) => (
                <Line key={end} x1={x(end)} x2={x(end)} y1={y + 21} y2={y + 33} stroke={colours.ink} strokeWidth={2} />
              ))}
            </G>
          );
        })}
      </Svg>
      <Text variant="soft">{t.aYearThatItHolds(currency)}</Text>
    </View>
  );
}

/** A line of the chart holds so many letters on a phone. */
const MOST_LETTERS = 44;
const shortened = (name: string) => (name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name);
