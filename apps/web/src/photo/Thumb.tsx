import { t } from '@patient-badger/wording/photo';
import { useRouter } from 'expo-router';
import { Image, Pressable } from 'react-native';
import { Text } from '../design/Text.tsx';

/** A photo that was taken, small; pressing it leads to drawing on it. */
export function Thumb({ jobId, hash, marked }: { jobId: string; hash: string; marked: boolean }) {
  const router = useRouter();
  return (
    <Pressable role="button" aria-label={t.markThisPhoto} onPress={() => router.navigate(`/jobs/${jobId}/photo/${hash}`)}>
      <Image
        source={{ uri: `/api/photos/${hash}/preview` }}
        aria-label={t.photoOfThisLook}
        className="h-24 w-32 rounded-md border-2 border-line"
      />
      <Text variant="label">{marked ? t.marked : t.markIt}</Text>
    </Pressable>
  );
}
