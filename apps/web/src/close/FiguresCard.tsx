import { t } from '@patient-badger/wording/close';
import { format, parseISO } from 'date-fns';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { describeEntry } from '../log/describeEntry.ts';
import { settingText } from '../wording/settingText.ts';
import { MarkedPhoto } from '../photo/MarkedPhoto.tsx';

/** What was set and proved, with its figures and whose they are. */
export function FiguresCard({ view: { state, pack } }: { view: JobView }) {
  if (state.settings.length + state.proofs.length === 0) return null;
  return (
    <Card testID="figures">
      <Text variant="head">{t.setAndProved}</Text>
      {state.settings.map(({ at, figures, source }) => (
        <Text key={at}>
          {settingText({ figures, source })}, {format(parseISO(at), 'd MMM')}
        </Text>
      ))}
      {state.proofs.map(({ at, ...proof }) => (
        <Text key={proof.proof} variant={proof.passed ? 'body' : 'danger'}>
          {describeEntry(proof, pack)}, {format(parseISO(at), 'd MMM')}
        </Text>
      ))}
    </Card>
  );
}

/** Each photo of the job with what was drawn on it. */
export function PhotoSheet({ view: { state } }: { view: JobView }) {
  const hashes = [...new Set(state.photos.map(({ hash }) => hash))];
  if (hashes.length === 0) return null;
  return (
    <View className="gap-2" testID="photos">
      <Text variant="head">{t.photos}</Text>
      <View className="flex-row flex-wrap gap-2">
        {hashes.map((hash) => (
          <MarkedPhoto key={hash} hash={hash} strokes={state.photoMarks[hash] ?? []} width={170} />
        ))}
      </View>
    </View>
  );
}
