import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import type { AccessPlan, Step } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';

export function PlanCard({ plan }: { plan: AccessPlan }) {
  if (plan.steps.length === 0) return null;
  return (
    <Card>
      <View className="flex-row items-baseline justify-between gap-3">
        <Text variant="head" className="flex-1">
          {plan.steps.length} {plan.steps.length === 1 ? shared.step : shared.steps}
        </Text>
        <Text variant="figure">{minutesText(plan.minutes)}</Text>
      </View>
      <Text variant="soft">{t.ifThingsAreStuckFor(minutesText(plan.atWorst), minutesText(plan.minutesBack))}</Text>
      {plan.tools.length > 0 ? <Text>{shared.layOut(plan.tools.join(', '))}</Text> : null}
      {plan.helperFor.length > 0 ? <Text variant="danger">{t.twoPeopleFor(plan.helperFor.map(({ name }) => name).join(', '))}</Text> : null}
    </Card>
  );
}

export function Later({ steps, here, onPick }: { steps: readonly Step[]; here: string; onPick: (id: string) => void }) {
  if (steps.length < 2) return null;
  return (
    <View className="gap-2">
      <Text variant="head">{t.inThisOrder}</Text>
      {steps.map(({ id, name, minutes, helper }, i) => (
        <Button
          key={id}
          label={`${i + 1}. ${name}`}
          detail={`${minutesText(minutes)}${helper ? t.twoPeople : ''}`}
          variant={id === here ? 'chosen' : 'plain'}
          onPress={() => onPick(id)}
        />
      ))}
    </View>
  );
}
