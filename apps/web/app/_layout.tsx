import '../global.css';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { DataProvider } from '../src/data/DataProvider.tsx';
import { registerOfflineWorker } from '../src/data/offline.ts';
import { FONTS } from '../src/design/fonts.ts';
import { KeySheet } from '../src/shell/KeySheet.tsx';
import { useSchemeClass } from '../src/shell/useSchemeClass.ts';

export { ErrorBoundary } from '../src/design/ErrorBoundary.tsx';

registerOfflineWorker();

export default function RootLayout() {
  useSchemeClass();
  const [ready, failed] = useFonts(FONTS);
  if (!ready && !failed) return null;
  return (
    <SafeAreaProvider>
      <DataProvider>
        <Slot />
        <KeySheet />
      </DataProvider>
    </SafeAreaProvider>
  );
}
