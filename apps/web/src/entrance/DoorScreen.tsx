import { t as shared } from '@patient-badger/wording/shared';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { ConnectionNote } from '../shell/ConnectionNote.tsx';
import { Text } from '../design/Text.tsx';

interface Props {
  readonly title: string;
  readonly under: string;
  readonly children: ReactNode;
}

/** The frame of a screen before anybody is in: no way to anywhere else. */
export const DoorScreen = ({ title, under, children }: Props) => (
  <View className="flex-1 bg-paper">
    <ConnectionNote />
    <ScrollView className="flex-1" contentContainerClassName="items-center p-4 pb-8">
      <View role="main" className="w-full max-w-[560px] gap-4">
        <View className="gap-1 pt-4">
          <Text variant="label">{shared.patientBadger}</Text>
          <Text variant="title">{title}</Text>
          <Text variant="soft">{under}</Text>
        </View>
        {children}
      </View>
    </ScrollView>
  </View>
);
