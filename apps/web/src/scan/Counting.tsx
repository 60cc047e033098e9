import { t } from '@patient-badger/wording/scan';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** How far the reading of a photo is, and the press that stops it. */
export function Counting({ stages, share, onStop }: { stages: readonly string[]; share: number; onStop: () => void }) {
  return (
    <Card tone="sunken">
      <Text variant="strong">{stages[Math.min(stages.length - 1, Math.floor(share * stages.length))]}</Text>
      <View
        role="progressbar"
        aria-label={t.counting}
        aria-valuenow={Math.round(100 * share)}
        className="h-3 overflow-hidden rounded-sm border border-line bg-surface"
      >
        <View className="h-3 bg-accent" style={{ width: `${Math.max(4, 100 * share)}%` }} />
      </View>
      <Button label={shared.stop} testID="stop-scan" onPress={onStop} />
    </Card>
  );
}
