import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** The reading worth taking next, with its reason. */
export function NextReading({ name, how, why, onPress }: { name: string; how: string; why: string; onPress: () => void }) {
  return (
    <Card tone="next">
      <Text variant="label">Measure this next</Text>
      <Text variant="head">{name}</Text>
      <Text>{how}</Text>
      <Text variant="soft">{why}</Text>
      <Button label="Measure it" testID="measure-next" onPress={onPress} />
    </Card>
  );
}

export const tellsApart = (bits: number): string => `It tells the candidates apart best: ${bits.toFixed(1)} bits expected.`;

/** Readings that cannot all be right. */
export const Contradiction = ({ error }: { error: Error }) => (
  <Card tone="danger">
    <Text variant="danger">{error.message}</Text>
    <Text>The readings are kept. Take the wrong one back in the log, or measure again.</Text>
  </Card>
);
