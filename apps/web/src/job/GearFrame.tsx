import { t } from '@patient-badger/wording/shared';
import type { GearCard } from '@patient-badger/core/machine';
import { useLocalSearchParams } from 'expo-router';
import type { ReactNode } from 'react';
import { Text } from '../design/Text.tsx';
import { JobFrame } from './JobFrame.tsx';
import type { JobView } from './JobView.ts';

/** A job's screen about one of its gears, named in the address. */
export function GearFrame({ stage, children }: { stage: 'measure' | 'match'; children: (view: JobView, card: GearCard) => ReactNode }) {
  const { gear } = useLocalSearchParams<{ gear: string }>();
  return (
    <JobFrame stage={stage}>
      {(view) => {
        const card = view.pack.gears.find(({ id }) => id === gear);
        return card ? children(view, card) : <Text>{t.thisFamilyHasNoSuch}</Text>;
      }}
    </JobFrame>
  );
}
