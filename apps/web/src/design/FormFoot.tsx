import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Button } from './Button.tsx';

interface Props {
  readonly label: string;
  readonly onKeep: () => void;
  readonly onClose: () => void;
  readonly testID: string;
}

/** The two ends of a form that was opened on a screen: kept, or closed without. */
export const FormFoot = ({ label, onKeep, onClose, testID }: Props) => (
  <View className="flex-row gap-2">
    <Button className="flex-1" label={shared.close} onPress={onClose} />
    <Button className="flex-[2]" variant="primary" label={label} testID={testID} onPress={onKeep} />
  </View>
);
