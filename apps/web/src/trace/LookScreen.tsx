import { resultName } from '@patient-badger/wording/results';
import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import type { InstrumentReading } from '@patient-badger/core/gear';
import { openSteps } from '@patient-badger/core/job';
import {
  CANNOT_TELL,
  cautionsOn,
  healthyMisread,
  lookWants,
  packModel,
  reachOf,
  settledOnSight,
  type Look,
  type Pack,
} from '@patient-badger/core/machine';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { minutesText, percent } from '../wording/words.ts';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { Cautions, useUnacknowledged } from '../job/Cautions.tsx';
import { AskedBack } from './AskedBack.tsx';
import { NotPossible } from './NotPossible.tsx';
import { OpeningSteps } from './OpeningSteps.tsx';
import { Results } from './Results.tsx';
import { TriedRemedy } from './TriedRemedy.tsx';
import { TwoSides } from './TwoSides.tsx';
import { atWorkText } from '../wording/atWorkText.ts';
import { seeText } from './seeText.ts';
import { ByInstrument } from './ByInstrument.tsx';

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
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const way = reachOf(pack).approachOf(lookWants(pack, look), openSteps(pack, state));
  const steps = way?.steps ?? [];
  const undo = way?.undo ?? [];
  const ready = way !== null && steps.length === 0 && undo.length === 0;
  const cautions = cautionsOn(pack, look.cautions, []);
  const blocked = useUnacknowledged(state, cautions).length > 0;
  const atWork = atWorkText(look);
  const seen = state.observations.filter((each) => each.look === look.id).at(-1);

  /** What was pressed and settles a fault, until it is asked back. */
  const [pressed, setPressed] = useState<string | null>(null);

  const keep = async (result: string, reading?: InstrumentReading) => {
    if (await write({ kind: 'lookRecorded', look: look.id, result, ...(reading && { reading }) })) router.navigate(`/jobs/${job.id}`);
  };
  const settled = (result: string) => settledOnSight(pack, { look: look.id, result });
  const say = (result: string) => (settled(result).length > 0 ? setPressed(result) : void keep(result));
  useKeys({ '0': blocked ? undefined : () => say(CANNOT_TELL) });

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
      {blocked ? <Text variant="danger">{t.confirmTheCautionFirstSomebody}</Text> : null}
      {blocked || !ready ? null : (
        <ByInstrument jobId={job.id} pack={pack} look={look} onBench={machine?.instruments ?? false} say={keep} />
      )}
      {pressed !== null ? (
        <AskedBack pack={pack} faults={settled(pressed)} onYes={() => void keep(pressed)} onNo={() => setPressed(null)} />
      ) : (
        // Digits typed before it is open would answer a look that was not taken.
        <Answers pack={pack} look={look} disabled={blocked} keys={ready} before={seen?.result} onSay={say} />
      )}
      <Button variant="quiet" disabled={blocked} label={shared.iCannotTell} onPress={() => say(CANNOT_TELL)} />
      <Problem text={problem} />
      <PhotoButton jobId={job.id} about={look.id} state={state} camera={machine?.instruments ?? false} />
    </>
  );
}

interface AnswersProps {
  readonly pack: Pack;
  readonly look: Look;
  readonly disabled: boolean;
  readonly keys: boolean;
  readonly before: string | undefined;
  readonly onSay: (result: string) => void;
}

/** What can be seen, of both sides at once where two are watched. */
function Answers({ pack, look, keys, ...rest }: AnswersProps) {
  if (look.kind === 'kinematic' && look.beside !== undefined) return <TwoSides pack={pack} look={look} {...rest} />;
  return (
    <Results
      results={packModel(pack).outcomes.get(look.id) ?? []}
      nameOf={(result) => resultName(pack, look.id, result)}
      keys={keys}
      {...rest}
    />
  );
}
