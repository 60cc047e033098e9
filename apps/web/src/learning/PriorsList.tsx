import { t } from '@patient-badger/wording/learning';
import { t as shared } from '@patient-badger/wording/shared';
import { ownPriors, USUAL_EQUIVALENT } from '@patient-badger/core/job';
import { shop as shopSchema } from '@patient-badger/contract';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { useFamilies } from '../data/families.ts';
import { useVerdicts } from '../data/learnt.ts';
import { useMe, useShop } from '../data/shop.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { percent } from '../wording/words.ts';

/** What the shop's proved verdicts make of each family's odds, and the switch for it. */
export function PriorsList() {
  const verdicts = useVerdicts().data ?? [];
  const families = useFamilies();
  const shop = useShop().data;
  const isOwner = useMe()?.role === 'owner';
  const refresh = useRefresh();
  const { attempt, problem } = useAttempt();
  const on = shop?.ownPriors ?? true;
  const turn = () =>
    attempt(async () => {
      await call('/api/shop', shopSchema, { json: { ownPriors: !on } });
      await Promise.all([refresh('shop'), refresh('verdicts')]);
    });
  return (
    <>
      <Card tone={on ? 'plain' : 'sunken'}>
        <Text variant="strong">{on ? t.theTracingBeginsWithThis : t.theTracingBeginsWithThe}</Text>
        <Text variant="soft">{t.aFamilyCountsForJobs(USUAL_EQUIVALENT)}</Text>
        {isOwner ? (
          <Button label={on ? t.switchItOff : t.switchItOn} testID="own-priors" onPress={() => void turn()} />
        ) : (
          <Text variant="soft">{t.anOwnerSwitchesIt}</Text>
        )}
        <Problem text={problem} />
      </Card>
      {verdicts.map(({ family, jobs, faults }) => {
        const pack = families.find(({ id }) => id === family);
        if (!pack) return null;
        const { moved, faults: priors } = ownPriors(pack, faults);
        return (
          <Card key={family} testID={`priors-${family}`}>
            <Text variant="head">{pack.name}</Text>
            {moved ? null : <Text variant="soft">{t.soFarNothingMovesYet(jobs === 1 ? t.oneJob : t.twoJobs)}</Text>}
            {priors
              .filter(({ count }) => count > 0)
              .map(({ fault, pack: before, shop: after, count }) => (
                <View key={fault} className="flex-row items-baseline gap-2">
                  <Text className="flex-1">{pack.faults.find(({ id }) => id === fault)?.name}</Text>
                  <Text variant="soft">{shared.ofWithPartsInVainAndMore(count, jobs)}</Text>
                  <Text variant="strong">{moved ? `${percent(before)} → ${percent(after)}` : percent(before)}</Text>
                </View>
              ))}
          </Card>
        );
      })}
    </>
  );
}
