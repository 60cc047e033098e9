import { t } from '@patient-badger/wording/make';
import { formatLength, type OperationOutput } from '@patient-badger/core';
import { View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { lengthUnit } from '../preferences/preferences.ts';
import { percent } from '../wording/words.ts';

/** More than this and the two cannot be turned, mm: finer than any shop makes. */
export const RUNS_IN_MM = 0.01;
/** A spot that comes no nearer than this stays white, mm. */
const FAR_MM = 0.1;
const [WIDTH, HEIGHT] = [300, 160];

/** The pair as it would be made: its play, whether it runs into itself, and where it bears. */
export function PairCard({ pair }: { pair: OperationOutput<'make.pair'> }) {
  const unit = lengthUnit.use();
  const { backlashMm, interferenceMm, contactShare, pattern } = pair;
  const isBad = interferenceMm > RUNS_IN_MM;
  return (
    <Card tone={isBad ? 'danger' : 'plain'} testID="pair">
      <Text variant="head">{t.thePairAsItWouldBeMade}</Text>
      {isBad ? <Text variant="danger">{t.runsIntoItself(formatLength(interferenceMm, unit))}</Text> : null}
      <Text>{t.playAndBearing(formatLength(backlashMm, unit), percent(contactShare))}</Text>
      <Pattern pattern={pattern} />
    </Card>
  );
}

/** Where a flank bears, across the face and from root to tip: the darker, the nearer. */
function Pattern({ pattern }: Pick<OperationOutput<'make.pair'>, 'pattern'>) {
  const colours = useColours();
  const xs = [...new Set(pattern.map(([x]) => x))].sort((p, q) => p - q);
  // Of one row nothing is seen: a spur gear bears alike all over its face.
  if (xs.length < 2) return null;
  const ys = pattern.map(([, y]) => y);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const column = WIDTH / xs.length;
  const down = (y: number) => (1 - (y - low) / (high - low)) * HEIGHT;
  // Each spot reaches up to the next one of its column: they lie closer together at the root.
  const cells = xs.flatMap((x, i) => {
    const spots = pattern.filter((spot) => spot[0] === x).sort(([, p], [, q]) => p - q);
    return spots.slice(0, -1).map(([, y, gap], k) => {
      const top = down(spots[k + 1]?.[1] ?? y);
      return { key: `${i}/${k}`, x: i * column, y: top, height: down(y) - top + 0.5, gap };
    });
  });
  return (
    <View className="items-center gap-1" role="img" aria-label={t.bearingPattern}>
      <Svg width={WIDTH} height={HEIGHT} aria-hidden>
        <Rect width={WIDTH} height={HEIGHT} fill={colours.sunken} />
        {cells.map(({ key, x, y, height, gap }) => (
          <Rect key={key} x={x} y={y} width={column} height={height} fill={colours.accent} opacity={Math.max(0, 1 - gap / FAR_MM)} />
        ))}
      </Svg>
      <Text variant="soft">{t.bearingPatternSaid}</Text>
    </View>
  );
}
