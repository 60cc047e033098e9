import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import type { Step } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { StepButtons } from '../access/StepButtons.tsx';
import { StepWork } from '../access/StepWork.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText } from '../wording/words.ts';
import type { JobView } from '../job/JobView.ts';

/** What has to come off before the look, one step at a time, with its cautions where they belong. */
export function OpeningSteps({ view, steps }: { view: JobView; steps: readonly Step[] }) {
  const [stuck, setStuck] = useState<string | null>(null);
  const [step, ...later] = steps;
  if (!step) return null;
  return (
    <View className="gap-3">
      <Text variant="head">
        {t.openUpFirst(
          steps.length,
          steps.length === 1 ? shared.step : shared.steps,
          minutesText(steps.reduce((sum, { minutes }) => sum + minutes, 0)),
        )}
      </Text>
      <StepWork key={step.id} view={view} step={step} stuck={stuck === step.id} />
      <StepButtons
        key={`buttons ${step.id}`}
        view={view}
        step={step}
        later={later}
        stuck={stuck === step.id}
        onStuck={(is) => setStuck(is ? step.id : null)}
      />
      {later.length > 0 ? <Text variant="soft">{t.then(later.map(({ name }) => name).join(' → '))}</Text> : null}
    </View>
  );
}
