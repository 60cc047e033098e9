import { t } from '@patient-badger/wording/access';
import type { JobState } from '@patient-badger/core/job';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { MarkedPhoto } from '../photo/MarkedPhoto.tsx';
import { WaitingPhoto } from '../photo/WaitingPhoto.tsx';
import { saidText } from './CaptureCard.tsx';
import type { CaptureHere } from './useCaptures.ts';

/** A position that was taken down, shown again at the moment it counts: is it back where it was? */
export function CaptureBack({ jobId, state, record }: { jobId: string; state: JobState; record: CaptureHere }) {
  const { step, capture, photos, waiting, restored } = record;
  const { write, problem } = useRecord(jobId);
  return (
    <View className="gap-2 rounded-md border-2 border-line p-3">
      <Text variant="label">{t.backWhereItWas}</Text>
      <Text variant="strong">{capture.back}</Text>
      <Text>{saidText(record)}</Text>
      <View className="flex-row flex-wrap gap-2">
        {photos.map((hash) => (
          <MarkedPhoto key={hash} hash={hash} strokes={state.photoMarks[hash] ?? []} width={220} />
        ))}
        {waiting.map((blob, i) => (
          <WaitingPhoto key={i} blob={blob} width={220} />
        ))}
      </View>
      <Button
        variant={restored ? 'chosen' : 'plain'}
        label={restored ? t.backWhereItWas2 : t.itIsBackWhereIt}
        disabled={restored}
        testID={`restored-${capture.id}`}
        onPress={() => void write({ kind: 'captureConfirmed', step, capture: capture.id, ok: true })}
      />
      <Problem text={problem} />
    </View>
  );
}
