import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';

/** An address that is no screen of the app. */
export function NotFoundScreen() {
  const router = useRouter();
  return (
    <Screen title="Nothing here" back="/">
      <Text>This address leads nowhere. What you recorded is where it was.</Text>
      <Button variant="primary" big label="To the bench" onPress={() => router.navigate('/')} />
    </Screen>
  );
}
