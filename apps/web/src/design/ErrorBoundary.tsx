import { t } from '@patient-badger/wording/design';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { Button } from './Button.tsx';
import { Text } from './Text.tsx';

/** When a screen breaks: say so, say that nothing is lost, offer a way on. */
export function ErrorBoundary({ error, retry }: { error: Error; retry: () => Promise<void> }) {
  return (
    <View className="flex-1 items-center justify-center gap-4 bg-paper p-6">
      <Text variant="title">{t.thisScreenBroke}</Text>
      <Text className="max-w-[520px] text-center">{t.whatYouRecordedIsKept}</Text>
      <Text variant="soft" className="max-w-[520px] text-center">
        {error.message}
      </Text>
      <Button variant="primary" label={shared.tryAgain} onPress={() => void retry()} />
    </View>
  );
}
