import { t } from '@patient-badger/wording/catalogue';
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
          {t.addedReplacedSkipped(receipt.added, receipt.replaced, receipt.skipped)}
        </Text>
      </Card>
    );
  }
  if (state !== 'running') return <Text variant="strong">{t.nothingOfTheListWas(state === 'cancelled' ? t.stopped : '')}</Text>;
  return (
    <Card tone="sunken">
      <Text testID="import-progress">{total === 0 ? t.theServerReadsTheList : t.ofRows(done, total)}</Text>
      <Button label={t.stopAndKeepNothingOf} testID="stop-import" onPress={() => void cancelImport(id)} />
    </Card>
  );
}
