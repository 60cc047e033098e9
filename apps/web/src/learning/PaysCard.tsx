import { t } from '@patient-badger/wording/learning';
import { t as shared } from '@patient-badger/wording/shared';
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
        <Text variant="label">{shared.minutes}</Text>
        {timedJobs === 0 ? (
          <Text>{t.nobodyHasWrittenDownYet}</Text>
        ) : (
          <>
            <Text variant="figure">{minutesReckoned > 0 ? `${(minutesTaken / minutesReckoned).toFixed(2)} ×` : '–'}</Text>
            <Text>
              {t.takenWhereWereReckonedOver(
                minutesText(minutesTaken),
                minutesText(minutesReckoned),
                timedJobs,
                timedJobs === 1 ? shared.job : shared.jobs,
              )}
            </Text>
          </>
        )}
      </Card>
      <Card testID="pays-parts">
        <Text variant="label">{t.partsBoughtInVain}</Text>
        <Text variant="figure">{shared.ofWithPartsInVainAndMore(partsInVain, partsFitted + partsInVain)}</Text>
        <Text>{t.wentToPartsThatWere(money(inVainMinor, currency))}</Text>
      </Card>
    </>
  );
}
