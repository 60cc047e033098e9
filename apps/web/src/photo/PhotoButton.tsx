import { t } from '@patient-badger/wording/photo';
import type { JobState } from '@patient-badger/core/job';
import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import { View } from 'react-native';
import { recordPhoto } from '../data/record.ts';
import { useWaiting } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { cameraPicture } from '../instrument/instruments.ts';
import { photoRefusal } from './photoRefusal.ts';
import { pickPhoto } from './pickPhoto.ts';
import { Thumb } from './Thumb.tsx';
import { messageOf } from '../wording/messageOf.ts';

interface Props {
  readonly jobId: string;
  readonly about: string;
  readonly state: JobState;
  /** The bench camera can be pointed at it. */
  readonly camera?: boolean | undefined;
}

/** Takes a photo of what is looked at, and shows those taken. Kept on the device until it has arrived. */
export function PhotoButton({ jobId, about, state, camera = false }: Props) {
  const colours = useColours();
  const [problem, setProblem] = useState<string | null>(null);
  const waiting = useWaiting().filter((item) => item.kind === 'photo' && item.jobId === jobId && item.about === about);
  const taken = state.photos.filter((each) => each.about === about);
  const take = async (from: () => Promise<Blob | null>) => {
    try {
      const file = await from();
      if (!file) return;
      const refused = await photoRefusal(file);
      setProblem(refused);
      if (refused === null) await recordPhoto(jobId, about, file);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return (
    <View className="gap-2">
      <Button label={t.takeAPhoto} icon={<Camera color={colours.accent} size={24} />} onPress={() => void take(pickPhoto)} />
      {camera ? (
        <Button variant="quiet" label={t.fromTheBenchCamera} onPress={() => void take(() => cameraPicture(jobId, { look: about }))} />
      ) : null}
      <Problem text={problem} />
      {waiting.map((item) => (
        <Text key={item.key} variant={item.refused ? 'danger' : 'soft'}>
          {item.refused ?? t.thePhotoIsOnIts}
        </Text>
      ))}
      <View className="flex-row flex-wrap gap-2">
        {taken.map(({ hash }) => (
          <Thumb key={hash} jobId={jobId} hash={hash} marked={state.photoMarks[hash] !== undefined} />
        ))}
      </View>
    </View>
  );
}
