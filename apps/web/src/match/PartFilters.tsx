import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import type { PartSearch } from '@patient-badger/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';

export interface Filters {
  readonly only: 'all' | 'afterWork' | 'asIs';
  readonly inStock: boolean;
  readonly text: string;
}
export const NO_FILTERS: Filters = { only: 'all', inStock: false, text: '' };

/** Filters as the search takes them. */
export const filterQuery = ({ only, inStock, text }: Filters): Partial<PartSearch> => ({
  ...(only !== 'all' && { only }),
  ...(inStock && { inStock }),
  ...(text.trim() && { text: text.trim() }),
});

/** How much work one is willing to put in, whether it must be there, and words. */
export function PartFilters({ value, onChange }: { value: Filters; onChange: (value: Filters) => void }) {
  const [open, setOpen] = useState(false);
  if (!open) return <Button variant="quiet" label={t.narrowItDown} testID="narrow" onPress={() => setOpen(true)} />;
  return (
    <View className="gap-2">
      <Segments
        label={t.howItMayFit}
        options={[
          ['all', t.all],
          ['afterWork', t.withWork],
          ['asIs', shared.asItIs],
        ]}
        value={value.only}
        onChange={(only) => onChange({ ...value, only })}
      />
      <Button
        label={t.onlyWhatIsInStock}
        variant={value.inStock ? 'chosen' : 'plain'}
        checked={value.inStock}
        testID="in-stock"
        onPress={() => onChange({ ...value, inStock: !value.inStock })}
      />
      <Field label={t.wordsOrTheBeginningOf} value={value.text} onChangeText={(text) => onChange({ ...value, text })} testID="parts-text" />
    </View>
  );
}
