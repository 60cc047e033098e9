import type { ReactNode } from 'react';
import { Modal, View } from 'react-native';

/** Lies over the screen at the thumb; what is behind it stays to be seen. Focus stays inside until it is closed. */
export const Overlay = ({ children }: { children: ReactNode }) => (
  <Modal transparent visible animationType="none">
    <View className="flex-1 items-center justify-end">{children}</View>
  </Modal>
);
