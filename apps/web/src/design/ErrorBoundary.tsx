import { View } from 'react-native';
import { Button } from './Button.tsx';
import { Text } from './Text.tsx';

/** When a screen breaks: say so, say that nothing is lost, offer a way on. */
export function ErrorBoundary({ error, retry }: { error: Error; retry: () => Promise<void> }) {
  return (
    <View className="flex-1 items-center justify-center gap-4 bg-paper p-6">
      <Text variant="title">This screen broke</Text>
      <Text className="max-w-[520px] text-center">
        What you recorded is kept on this device. Try again; if it breaks again, go back to the bench.
      </Text>
      <Text variant="soft" className="max-w-[520px] text-center">
        {error.message}
      </Text>
      <Button variant="primary" label="Try again" onPress={() => void retry()} />
    </View>
  );
}
