import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shell';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useConnection, useWaiting } from '../data/shop.ts';

/** Says when the connection is gone and how much waits; silent when all is well. */
export function ConnectionNote() {
  const router = useRouter();
  const connection = useConnection();
  const waiting = useWaiting();
  const refused = waiting.filter((item) => item.refused !== undefined).length;
  const left = waiting.length - refused;
  if (connection === 'up' && refused === 0) return null;
  return (
    <View className="no-print border-b-2 border-line bg-sunken px-4 py-2" role="status">
      {connection === 'down' ? (
        <Text variant="soft" className="text-ink">
          {t.noConnectionGoOnWorking(
            left === 0 ? t.everythingSoFarIsSent : t.keptOnThisDeviceAnd(left, left === 1 ? t.noteIs : t.notesAre),
          )}
        </Text>
      ) : null}
      {refused > 0 ? (
        <LinkArea className="min-h-[48px] justify-center" onPress={() => router.navigate('/settings')}>
          <Text variant="danger" numberOfLines={1}>
            {t.setAsideTheShopServer(refused, refused === 1 ? t.noteIs : t.notesAre, refused === 1 ? shared.it : t.them)}
          </Text>
        </LinkArea>
      ) : null}
    </View>
  );
}
