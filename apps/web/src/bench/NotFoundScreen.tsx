import { t } from '@patient-badger/wording/bench';
import { t as shared } from '@patient-badger/wording/shared';
import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';

/** An address that is no screen of the app. */
export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Screen title={t.nothingHere} back="/">
      <Text>{t.thisAddressLeadsNowhereWhat}</Text>
      <Button variant="primary" big label={shared.toTheBench} onPress={() => router.navigate('/')} />
    </Screen>
  );
}
