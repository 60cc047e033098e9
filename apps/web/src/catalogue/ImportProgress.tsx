import { type ImportState } from '@patient-badger/contract';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { cancelImport } from './bringIn.ts';

/** How far the list has come on the server; it counts only once it is whole. */
export function Coming({ state: { id, state, done, total, receipt } }: { state: ImportState }) {
  if (state === 'done' && receipt) {
    return (
      <Card tone="next">
        <Text variant="head" testID="import-receipt">
          {receipt.added} added, {receipt.replaced} replaced, {receipt.skipped} skipped
        </Text>
      </Card>
    );
  }
  if (state !== 'running') return <Text variant="strong">{state === 'cancelled' ? 'Stopped. ' : ''}Nothing of the list was kept.</Text>;
  return (
    <Card tone="sunken">
      <Text testID="import-progress">{total === 0 ? 'The server reads the list …' : `${done} of ${total} rows`}</Text>
      <Button label="Stop, and keep nothing of it" testID="stop-import" onPress={() => void cancelImport(id)} />
    </Card>
  );
}
