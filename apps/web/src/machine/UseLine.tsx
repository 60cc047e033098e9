import { t } from '@patient-badger/wording/machine';
import type { MachineHistory } from '@patient-badger/contract';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { shownAmount, unitWord } from '../wording/distance.ts';

const [WIDTH, HEIGHT] = [340, 170];
const EDGE = { left: 52, right: 12, top: 12, bottom: 30 };

interface Props {
  readonly history: MachineHistory;
  /** ISO dates on which a job was taken in. */
  readonly jobs: readonly string[];
}

/** The machine's life as a line: what its meter counted over time, with every job (round) and every part that went in (square). */
export function UseLine({ history: { meters, parts }, jobs }: Props) {
  const colours = useColours();
  const unit = meters.filter(({ hours }) => hours !== null).length > 1 ? 'hours' : 'km';
  const distance = distanceUnit.use();
  const word = unitWord(unit, distance);
  const read = meters
    .flatMap(({ on, [unit]: value }) => (value === null ? [] : [{ at: Date.parse(on), value: shownAmount(value, unit, distance) }]))
    .sort((p, q) => p.at - q.at);
  const [first, last] = [read[0], read.at(-1)];
  if (!first || !last || first.at === last.at) return null;
  const x = scaleLinear([first.at, Math.max(last.at, ...jobs.map((each) => Date.parse(each)))], [EDGE.left, WIDTH - EDGE.right]).clamp(
    true,
  );
  const y = scaleLinear([0, Math.max(...read.map(({ value }) => value), 1)], [HEIGHT - EDGE.bottom, EDGE.top]).nice(4);
  const valueAt = (at: number) => read.findLast((each) => each.at <= at)?.value ?? first.value;
  const path = line<(typeof read)[number]>(
    (each) => x(each.at),
    (each) => y(each.value),
  );
  return (
    <View
      className="items-center gap-1"
      role="img"
      aria-label={t.useOverTimeToJobs(Math.round(first.value), Math.round(last.value), word, jobs.length, parts.length)}
      testID="use-line"
    >
      <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden>
        {y.ticks(4).map((tick) => (
          <G key={tick}>
            <Line x1={EDGE.left} x2={WIDTH - EDGE.right} y1={y(tick)} y2={y(tick)} stroke={colours.line} strokeWidth={1} />
            <SvgText x={EDGE.left - 6} y={y(tick) + 5} fontSize={13} textAnchor="end" fill={colours.soft}>
              {tick >= 10_000 ? `${tick / 1000}k` : tick}
            </SvgText>
          </G>
        ))}
        {yearsBetween(first.at, x.domain()[1] ?? last.at).map((year) => (
          <G key={year}>
            <Line
              x1={x(Date.UTC(year, 0))}
              x2={x(Date.UTC(year, 0))}
              y1={EDGE.top}
              y2={HEIGHT - EDGE.bottom}
              stroke={colours.line}
              strokeWidth={1}
            />
            <SvgText x={x(Date.UTC(year, 0))} y={HEIGHT - 10} fontSize={13} textAnchor="middle" fill={colours.soft}>
              {year}
            </SvgText>
          </G>
        ))}
        <Path d={path(read) ?? ''} fill="none" stroke={colours.accent} strokeWidth={3} />
        {jobs.map((past, i) => (
          <Circle
            key={i}
            cx={x(Date.parse(past))}
            cy={y(valueAt(Date.parse(past)))}
            r={6}
            fill={colours.surface}
            stroke={colours.ink}
            strokeWidth={2.5}
          />
        ))}
        {parts.map(({ at, gear, partNumber }) => (
          <Rect
            key={`${at}${gear}${partNumber}`}
            x={x(Date.parse(at)) - 5}
            y={y(valueAt(Date.parse(at))) - 18}
            width={10}
            height={10}
            fill={colours.ink}
          />
        ))}
      </Svg>
      <Text variant="soft">{t.upRoundAJobSquare(word)}</Text>
    </View>
  );
}

/** The years that begin in a span of time. */
function yearsBetween(from: number, to: number): readonly number[] {
  const first = new Date(from).getUTCFullYear() + 1;
  const last = new Date(to).getUTCFullYear();
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
}
