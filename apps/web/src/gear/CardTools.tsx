import { t } from '@patient-badger/wording/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { SeatCard } from './SeatCard.tsx';

/** What any gear on the bench can be put to besides its own dimensions. */
export function CardTools({ jobId, card, gear }: { jobId: string; card: GearCard; gear: GearState }) {
  const router = useRouter();
  return (
    <>
      <SeatCard jobId={jobId} card={card} gear={gear} />
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          label={t.layAnotherBesideIt}
          testID="compare"
          onPress={() => router.navigate(`/jobs/${jobId}/compare/${card.id}`)}
        />
        <Button className="flex-1" label={t.reckonRatios} testID="to-ratios" onPress={() => router.navigate(`/jobs/${jobId}/ratio`)} />
      </View>
      <Button
        variant="quiet"
        label={t.keepItOnTheDonor}
        testID="shelve"
        onPress={() => router.navigate(`/jobs/${jobId}/shelve/${card.id}`)}
      />
    </>
  );
}
