import { ownPriors, USUAL_EQUIVALENT } from '@patient-badger/core';
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
        <Text variant="strong">
          {on ? 'The tracing begins with this shop’s own odds.' : 'The tracing begins with the families’ own odds.'}
        </Text>
        <Text variant="soft">
          A family counts for {USUAL_EQUIVALENT} jobs; each closed and proved job here counts for one. Below three jobs nothing moves.
        </Text>
        {isOwner ? (
          <Button label={on ? 'Switch it off' : 'Switch it on'} testID="own-priors" onPress={() => void turn()} />
        ) : (
          <Text variant="soft">An owner switches it.</Text>
        )}
        {problem ? <Text variant="danger">{problem}</Text> : null}
      </Card>
      {verdicts.map(({ family, jobs, faults }) => {
        const pack = families.find(({ id }) => id === family);
        if (!pack) return null;
        const { moved, faults: priors } = ownPriors(pack, faults);
        return (
          <Card key={family} testID={`priors-${family}`}>
            <Text variant="head">{pack.name}</Text>
            {moved ? null : <Text variant="soft">{jobs === 1 ? 'One job' : 'Two jobs'} so far: nothing moves yet.</Text>}
            {priors
              .filter(({ count }) => count > 0)
              .map(({ fault, pack: before, shop: after, count }) => (
                <View key={fault} className="flex-row items-baseline gap-2">
                  <Text className="flex-1">{pack.faults.find(({ id }) => id === fault)?.name}</Text>
                  <Text variant="soft">
                    {count} of {jobs}
                  </Text>
                  <Text variant="strong">{moved ? `${percent(before)} → ${percent(after)}` : percent(before)}</Text>
                </View>
              ))}
          </Card>
        );
      })}
    </>
  );
}
