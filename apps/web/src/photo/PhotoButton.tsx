import type { JobState } from '@patient-badger/core';
import { PHOTO_MOST_BYTES } from '@patient-badger/contract';
import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import { View } from 'react-native';
import { recordPhoto } from '../data/outbox.ts';
import { useWaiting } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { cameraPicture } from '../instrument/instruments.ts';
import { pickPhoto } from './pickPhoto.ts';
import { Thumb } from './Thumb.tsx';

interface Props {
  readonly jobId: string;
  readonly about: string;
  readonly state: JobState;
  /** The bench camera can be pointed at it. */
  readonly camera?: boolean;
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
      const refused = await refusal(file);
      setProblem(refused);
      if (refused === null) await recordPhoto(jobId, about, file);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <View className="gap-2">
      <Button label="Take a photo" icon={<Camera color={colours.accent} size={24} />} onPress={() => void take(pickPhoto)} />
      {camera ? <Button look="quiet" label="From the bench camera" onPress={() => void take(() => cameraPicture(jobId, about))} /> : null}
      {problem ? <Text look="danger">{problem}</Text> : null}
      {waiting.map((item) => (
        <Text key={item.key} look={item.refused ? 'danger' : 'soft'}>
          {item.refused ?? 'The photo is on its way …'}
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

/** What would be refused anyway is refused here, before it costs anybody's connection. */
async function refusal(file: Blob): Promise<string | null> {
  if (file.size > PHOTO_MOST_BYTES)
    return `This photo has ${Math.round(file.size / 1048576)} MB; 10 MB is the most. Take it again at a smaller size.`;
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  const png = head[0] === 0x89 && head[1] === 0x50;
  const jpeg = head[0] === 0xff && head[1] === 0xd8;
  return png || jpeg ? null : 'Only PNG and JPEG photos can be kept.';
}
