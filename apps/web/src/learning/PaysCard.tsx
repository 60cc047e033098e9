import type { Learnt } from '@patient-badger/contract';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, money } from '../wording/words.ts';

/** Whether the minutes that were advised are those that it took, and how many parts were bought in vain. */
export function PaysCard({ pays, currency }: { pays: Learnt['pays']; currency: string }) {
  const { timedJobs, minutesReckoned, minutesTaken, partsFitted, partsInVain, inVainMinor } = pays;
  return (
    <>
      <Card testID="pays-minutes">
        <Text variant="label">Minutes</Text>
        {timedJobs === 0 ? (
          <Text>Nobody has written down yet what a job took: under Parts and time of each job.</Text>
        ) : (
          <>
            <Text variant="figure">{minutesReckoned > 0 ? `${(minutesTaken / minutesReckoned).toFixed(2)} ×` : '–'}</Text>
            <Text>
              {minutesText(minutesTaken)} taken where {minutesText(minutesReckoned)} were reckoned, over {timedJobs}{' '}
              {timedJobs === 1 ? 'job' : 'jobs'} whose time was written down.
            </Text>
          </>
        )}
      </Card>
      <Card testID="pays-parts">
        <Text variant="label">Parts bought in vain</Text>
        <Text variant="figure">
          {partsInVain} of {partsFitted + partsInVain}
        </Text>
        <Text>{money(inVainMinor, currency)} went to parts that were sent back, as far as a price was known.</Text>
      </Card>
    </>
  );
}
