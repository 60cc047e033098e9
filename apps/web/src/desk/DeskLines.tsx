import { View } from 'react-native';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import type { DeskLine } from './DeskSpec.ts';
import { ReadingChart } from './ReadingChart.tsx';

/** What a desk says, a line after the other. */
export const DeskLines = ({ lines }: { lines: readonly DeskLine[] }) => lines.map((line, i) => <Line key={i} line={line} />);

function Line({ line }: { line: DeskLine }) {
  if ('chart' in line) return <ReadingChart {...line.chart} />;
  if ('text' in line)
    return (
      <Text variant={line.variant ?? 'body'} testID={line.testID}>
        {line.text}
      </Text>
    );
  const { candidate, chance, detail } = line;
  return (
    <View className="gap-1 border-t border-line pt-2">
      <Text variant="strong">{candidate}</Text>
      {chance === undefined ? null : <Meter chance={chance} />}
      <Text variant="soft">{detail}</Text>
    </View>
  );
}
