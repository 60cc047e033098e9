import { t } from '@patient-badger/wording/gear';
import { useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';

/** On from the gear that it was to the parts that fit in its place. */
export function FindParts({ jobId, gear, pick }: { jobId: string; gear: string; pick: string }) {
  const router = useRouter();
  return (
    <Button
      variant="primary"
      big
      label={t.findPartsThatFit}
      testID="find-parts"
      onPress={() => router.navigate(`/jobs/${jobId}/parts/${gear}?pick=${pick}`)}
    />
  );
}
