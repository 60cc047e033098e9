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
          No connection. Go on working:{' '}
          {left === 0
            ? 'everything so far is sent.'
            : `${left} ${left === 1 ? 'note is' : 'notes are'} kept on this device and will be sent.`}
        </Text>
      ) : null}
      {refused > 0 ? (
        <LinkArea className="min-h-[48px] justify-center" onPress={() => router.navigate('/settings')}>
          <Text variant="danger">
            {refused} {refused === 1 ? 'note is' : 'notes are'} set aside: the shop server would not take {refused === 1 ? 'it' : 'them'}.
            Look.
          </Text>
        </LinkArea>
      ) : null}
    </View>
  );
}
