import type { ReactNode } from 'react';
import { Modal, View } from 'react-native';

/** Lies over the screen at the thumb; what is behind it stays to be seen. Focus stays inside until it is closed. */
export const Overlay = ({ children, testID }: { children: ReactNode; testID?: string | undefined }) => (
  <Modal transparent visible animationType="none">
    <View className="flex-1 items-center justify-end" testID={testID}>
      {children}
    </View>
  </Modal>
);
