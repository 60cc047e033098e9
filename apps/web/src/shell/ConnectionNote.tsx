import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { LinkArea } from '../design/LinkArea.tsx';
import { Text } from '../design/Text.tsx';
import { useLine, useWaiting } from '../data/queries.ts';

/** Says when the connection is gone and how much waits; silent when all is well. */
export function LineNote() {
  const router = useRouter();
  const line = useLine();
  const waiting = useWaiting();
  const refused = waiting.filter((item) => item.refused !== undefined).length;
  const left = waiting.length - refused;
  if (line === 'up' && refused === 0) return null;
  return (
    <View className="no-print border-b-2 border-line bg-sunken px-4 py-2" role="status">
      {line === 'down' ? (
        <Text look="soft" className="text-ink">
          No connection. Go on working:{' '}
          {left === 0
            ? 'everything so far is sent.'
            : `${left} ${left === 1 ? 'note is' : 'notes are'} kept on this device and will be sent.`}
        </Text>
      ) : null}
      {refused > 0 ? (
        <LinkArea className="min-h-[48px] justify-center" onPress={() => router.navigate('/settings')}>
          <Text look="danger">
            {refused} {refused === 1 ? 'note was' : 'notes were'} refused. Look at {refused === 1 ? 'it' : 'them'}.
          </Text>
        </LinkArea>
      ) : null}
    </View>
  );
}
