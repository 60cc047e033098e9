import '../global.css';
import { Slot } from 'expo-router';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { DataProvider } from '../src/data/DataProvider.tsx';
import { Entrance } from '../src/entrance/Entrance.tsx';
import { ShopUnits } from '../src/entrance/ShopUnits.tsx';
import { KeySheet } from '../src/shell/KeySheet.tsx';
import { useSchemeClass } from '../src/shell/useSchemeClass.ts';

export { ErrorBoundary } from '../src/design/ErrorBoundary.tsx';

export default function RootLayout() {
  useSchemeClass();
  return (
    <SafeAreaProvider>
      <DataProvider>
        <Entrance>
          <Slot />
          <KeySheet />
          <ShopUnits />
        </Entrance>
      </DataProvider>
    </SafeAreaProvider>
  );
}
