import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** In place of the next look of a job that is done: its record, and the way back to work where it came in again. */
export function FinishedCard({ jobId, onAgain }: { jobId: string; onAgain: () => void }) {
  const router = useRouter();
  return (
    <Card>
      <Text variant="head">This job is finished.</Text>
      <Text>Nothing is left to do on it. What was found and done stands in its record.</Text>
      <Button variant="primary" big label="Its record" testID="to-record" onPress={() => router.navigate(`/jobs/${jobId}/close`)} />
      <Button label="Work on it again" testID="work-again" onPress={onAgain} />
    </Card>
  );
}
