import { MATERIAL_IDS, type MaterialId } from '@patient-badger/core';
import { t } from '@patient-badger/wording/strength';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { MATERIAL_WORDS } from '../wording/materialWords.ts';

/** The built-in materials, opened by a press. */
export function MaterialChoice({
  label,
  value,
  onChange,
  testID,
}: {
  label: string;
  /** None while nobody said. */
  value: MaterialId | undefined;
  onChange: (id: MaterialId) => void;
  testID?: string;
}) {
  const [open, setOpen] = useState(false);
  if (!open)
    return <Button label={`${label}: ${value ? MATERIAL_WORDS[value] : t.notSaid}`} testID={testID} onPress={() => setOpen(true)} />;
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {MATERIAL_IDS.map((id) => (
        <Button
          key={id}
          label={MATERIAL_WORDS[id]}
          variant={id === value ? 'chosen' : 'plain'}
          checked={id === value}
          testID={`material-${id}`}
          onPress={() => {
            onChange(id);
            setOpen(false);
          }}
        />
      ))}
    </View>
  );
}
