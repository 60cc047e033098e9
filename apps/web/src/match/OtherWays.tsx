import { t } from '@patient-badger/wording/orders';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { addDays, format } from 'date-fns';
import { useRouter } from 'expo-router';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeLine } from '../wording/attributeWords.ts';

/** So long until a scarce part is looked for again. */
const WATCH_DAYS = 30;

/** Where the catalogue has nothing: make one, take a unit, or keep a watch for what is scarce. */
export function OtherWays({ view: { job, state }, card, wanted }: { view: JobView; card: GearCard; wanted: PartAttributes }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const { type, teeth, normalModuleMm } = wanted;
  const what = t.lookAgainFor(attributeLine({ type, teeth, normalModuleMm }));
  const isKept = state.followUps.some((each) => each.what === what && !each.done);
  const watch = () => void write({ kind: 'followUpSet', action: 'look', what, due: format(addDays(new Date(), WATCH_DAYS), 'yyyy-MM-dd') });
  return (
    <>
      <Text variant="head">{t.otherWays}</Text>
      {type === 'spur' || type === 'helical' ? (
        <Button label={t.makeIt} testID="way-make" onPress={() => router.navigate(`/jobs/${job.id}/make/${card.id}`)} />
      ) : null}
      <Button label={t.wholeUnit} testID="way-unit" onPress={() => router.navigate(`/jobs/${job.id}/items`)} />
      {isKept ? (
        <Text testID="watch-kept">{t.watchIsKept}</Text>
      ) : (
        <Button label={t.keepAWatch} detail={t.keepAWatchDetail} testID="way-watch" onPress={watch} />
      )}
      <Problem text={problem} />
    </>
  );
}
