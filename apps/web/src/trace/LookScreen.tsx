import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import { openSteps } from '@patient-badger/core/job';
import { cautionsOn, healthyMisread, lookWants, reachOf, type Look } from '@patient-badger/core/machine';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { minutesText, percent } from '../wording/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { Cautions } from '../job/Cautions.tsx';
import { LookAnswers } from './LookAnswers.tsx';
import { NotPossible } from './NotPossible.tsx';
import { OpeningSteps } from './OpeningSteps.tsx';
import { TriedRemedy } from './TriedRemedy.tsx';
import { atWorkText } from '../wording/atWorkText.ts';
import { seeText } from './seeText.ts';

/** One look: what to do, how long, what can hurt, and what came of it. */
export function LookScreen() {
  const { look } = useLocalSearchParams<{ look: string }>();
  return (
    <JobFrame stage="trace" back={(id) => `/jobs/${id}`}>
      {(view) => {
        const found = view.pack.looks.find(({ id }) => id === look);
        return found ? <Looking view={view} look={found} /> : <Text>{t.thisFamilyHasNoSuch}</Text>;
      }}
    </JobFrame>
  );
}

function Looking({ view, look }: { view: JobView; look: Look }) {
  const { job, pack, state, machine } = view;
  const way = reachOf(pack).approachOf(lookWants(pack, look), openSteps(pack, state));
  const steps = way?.steps ?? [];
  const undo = way?.undo ?? [];
  const ready = way !== null && steps.length === 0 && undo.length === 0;
  const cautions = cautionsOn(pack, look.cautions, []);
  const atWork = atWorkText(look);

  return (
    <>
      <Text variant="title">{look.name}</Text>
      <View className="flex-row flex-wrap gap-x-4 gap-y-1">
        <Text variant="label">{t.forTheLook(minutesText(look.minutes))}</Text>
        {atWork ? <Text variant="label">{atWork}</Text> : null}
        {look.helper ? <Text variant="label">{t.aHelperIsNeeded}</Text> : null}
        {look.tools.length > 0 ? <Text variant="label">{shared.layOut(look.tools.join(', '))}</Text> : null}
        {look.kind === 'kinematic' ? <Text variant="label">{t.aboutAreMisread(percent(healthyMisread(pack, look)))}</Text> : null}
      </View>
      {look.kind === 'table' && look.tries ? <TriedRemedy uses={look.tries.uses} minutes={look.minutes} /> : null}
      <NotPossible view={view} look={look} undo={way === null ? null : undo} />
      {undo.length === 0 ? <OpeningSteps view={view} steps={steps} /> : null}
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      <Card>
        <Text variant="head">{t.whatToDo}</Text>
        <Text>{look.how}</Text>
        {look.kind === 'kinematic' ? <Text variant="soft">{seeText(pack, look)}</Text> : null}
      </Card>
      <Text variant="head">{t.whatDoYouSee}</Text>
      {ready ? null : <Text variant="soft">{t.itIsNotYetAs}</Text>}
      <LookAnswers key={look.id} view={view} look={look} ready={ready} />
      <PhotoButton jobId={job.id} about={look.id} state={state} camera={machine?.instruments ?? false} />
    </>
  );
}
