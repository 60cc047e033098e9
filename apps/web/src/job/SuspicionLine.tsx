import { t } from '@patient-badger/wording/shared';
import { openSteps } from '@patient-badger/core/job';
import { useState } from 'react';
import { depthByPlace } from '../driveline/depth.ts';
import { DriveLine } from '../driveline/DriveLine.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from './JobView.ts';
import { LooksAt } from './LooksAt.tsx';

/** The drive line in its tracing appearance; a place that is pressed opens its looks. */
export function SuspicionLine({ view }: { view: JobView }) {
  const { pack, state, trace } = view;
  const [place, setPlace] = useState<string | null>(null);
  return (
    <>
      <Text variant="soft">{t.pressAPlaceToSee}</Text>
      <DriveLine
        pack={pack}
        trace={trace}
        depth={depthByPlace(pack, openSteps(pack, state))}
        onPlace={(each) => setPlace(each === place ? null : each)}
        opened={place === null ? undefined : { place, content: <LooksAt view={view} place={place} /> }}
      />
    </>
  );
}
