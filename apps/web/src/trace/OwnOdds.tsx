import { t } from '@patient-badger/wording/trace';
import { ownPriors } from '@patient-badger/core/job';
import type { Pack } from '@patient-badger/core/machine';
import { useFamilyVerdicts } from '../data/learnt.ts';
import { Text } from '../design/Text.tsx';
import { percent } from '../wording/words.ts';

/** So many faults are named. */
const MOST = 2;

/** Why the tracing begins with other odds than the family's: what proved jobs found here. */
export function OwnOdds({ pack }: { pack: Pack }) {
  const { moved, jobs, faults } = ownPriors(pack, useFamilyVerdicts(pack.id)?.faults ?? []);
  if (!moved) return null;
  const often = faults.filter(({ shop, pack: before }) => shop > before).sort((p, q) => q.count - p.count);
  return (
    <Text variant="soft" testID="own-odds">
      {often
        .slice(0, MOST)
        .map(({ fault, count, pack: before, shop }) =>
          t.becauseHereItWasThis(pack.faults.find(({ id }) => id === fault)?.name ?? '', count, jobs, percent(before), percent(shop)),
        )
        .join(' ')}
    </Text>
  );
}
