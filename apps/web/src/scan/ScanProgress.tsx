import { t } from '@patient-badger/wording/scan';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { ScanState } from './useScan.ts';

interface Props {
  readonly scan: ScanState<unknown>;
  readonly stages: readonly string[];
  readonly onStop: () => void;
  readonly onAgain: () => void;
}

/** How the reading of a photo goes while nothing is read yet: how far it is, that it was stopped, why it failed. */
export function ScanProgress({ scan, stages, onStop, onAgain }: Props) {
  switch (scan.kind) {
    case 'counting':
      return <Counting stages={stages} share={scan.share} onStop={onStop} />;
    case 'stopped':
      return <Button label={shared.countAgain} testID="count-again" onPress={onAgain} />;
    case 'failed':
      return (
        <Card tone="danger">
          <Text variant="danger">{scan.why}</Text>
          <Button label={shared.tryAgain} onPress={onAgain} />
        </Card>
      );
    case 'done':
      return null;
  }
}

function Counting({ stages, share, onStop }: { stages: readonly string[]; share: number; onStop: () => void }) {
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
