import { t } from '@patient-badger/wording/shared';
import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** In place of the next look of a job that is done: its record, and the way back to work where it came in again. */
export function FinishedCard({ jobId, onAgain }: { jobId: string; onAgain: () => void }) {
  const router = useRouter();
  return (
    <Card>
      <Text variant="head">{t.thisJobIsFinished}</Text>
      <Text>{t.nothingIsLeftToDo}</Text>
      <Button variant="primary" big label={t.itsRecord} testID="to-record" onPress={() => router.navigate(`/jobs/${jobId}/close`)} />
      <Button label={t.workOnItAgain} testID="work-again" onPress={onAgain} />
    </Card>
  );
}
