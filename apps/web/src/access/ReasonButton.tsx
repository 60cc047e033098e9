import { t as shared } from '@patient-badger/wording/shared';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';

interface Props {
  readonly label: string;
  readonly ask: string;
  readonly testID: string;
  readonly onReason: (reason: string) => void;
  readonly disabled?: boolean | undefined;
}

/** Something that is possible against the advice, with a reason in a few words. */
export function ReasonButton({ label, ask, testID, onReason, disabled = false }: Props) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  if (!open) return <Button variant="quiet" label={label} disabled={disabled} testID={testID} onPress={() => setOpen(true)} />;
  return (
    <View className="gap-2">
      <Field label={ask} value={reason} onChangeText={setReason} autoFocus />
      <View className="flex-row gap-2">
        <Button className="flex-1" label={shared.back} onPress={() => setOpen(false)} />
        <Button
          className="flex-1"
          label={label}
          disabled={reason.trim() === ''}
          testID={`${testID}-confirm`}
          onPress={() => {
            onReason(reason.trim());
            setOpen(false);
            setReason('');
          }}
        />
      </View>
    </View>
  );
}
