import { t } from '@patient-badger/wording/shared';
import { gearInHand, withOwn } from '@patient-badger/core/job';
import { useLocalSearchParams, type Href } from 'expo-router';
import { useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { useJob, type OpenJob } from '../data/jobs.ts';
import { useOwnPriors } from '../data/learnt.ts';
import { useTrace } from '../data/useTrace.ts';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Text } from '../design/Text.tsx';
import { FinishedCard } from './FinishedCard.tsx';
import { SuspicionLine } from './SuspicionLine.tsx';
import { Trail } from './Trail.tsx';
import type { JobView } from './JobView.ts';
import { NextThingBar } from './NextThingBar.tsx';
import { StageBar, type Stage } from '../shell/StageBar.tsx';
import { useWide } from '../design/useMedia.ts';

interface Props {
  readonly stage: Stage;
  readonly back?: ((id: string) => Href) | undefined;
  readonly children: (view: JobView) => ReactNode;
  readonly foot?: ((view: JobView) => ReactNode) | undefined;
}

/** Stages that ask for work, which a finished job does not. */
const WORK: ReadonlySet<Stage> = new Set(['trace', 'open', 'measure']);

/** A job's screen: the work alone on a phone; drive line left and evidence right of it on a wide one. */
export function JobFrame(props: Props) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { open, isLoading, error } = useJob(id);
  if (open) return <Opened {...props} open={open} />;
  return (
    <Screen title={t.job2} back="/">
      <Card tone="sunken">
        <Text variant="strong">{isLoading ? t.fetchingTheJob : t.thisJobCannotBeShown}</Text>
        {isLoading ? null : <Text>{error?.message ?? t.itIsNotOnThis}</Text>}
      </Card>
    </Screen>
  );
}

function Opened({ open, stage, back, children, foot }: Props & { open: OpenJob }) {
  const wide = useWide();
  const [again, setAgain] = useState(false);
  const trace = useTrace(open.state, useOwnPriors(open.pack));
  const pack = useWithOwn(open);
  const view = { ...open, pack, trace };
  const { job, machine, state } = open;
  const finished = state.closed !== null && !again && WORK.has(stage);
  const content = finished ? <FinishedCard jobId={job.id} onAgain={() => setAgain(true)} /> : children(view);
  return (
    <Screen
      title={machine?.label ?? pack.name}
      under={[state.closed ? t.finished : null, machine?.owner, machine?.modelName].filter(Boolean).join(' · ')}
      back={back?.(job.id) ?? '/'}
      wide={wide}
      scrollKey={state.closed ? 'closed' : 'open'}
      foot={finished ? undefined : foot?.(view)}
      below={<StageBar jobId={job.id} stage={stage} gear={gearInQuestion(open)} />}
    >
      {pack.safetyCritical ? (
        <Card tone="danger">
          <Text variant="danger">{t.safetyCriticalJob}</Text>
          <Text>{t.theMakersManualLocalCodes}</Text>
        </Card>
      ) : null}
      <NextThingBar view={view} />
      {wide ? (
        <View className="flex-row items-start gap-6">
          <View className="w-[330px]">
            <SuspicionLine view={view} />
          </View>
          <View className="min-w-0 flex-1 gap-4">{content}</View>
          <View className="w-[280px]">
            <Trail view={view} />
          </View>
        </View>
      ) : (
        content
      )}
    </Screen>
  );
}

/** The family with what the job added to it; the same object as long as nothing is added, for what is worked out for it is kept by it. */
function useWithOwn({ pack, state: { own } }: OpenJob) {
  const added = JSON.stringify(own);
  return useMemo(() => withOwn(pack, { own: JSON.parse(added) as typeof own }), [pack, added]);
}

/** The gear that the stages of measuring and matching open on: the one that has to be replaced, or one the app has a card for. */
function gearInQuestion({ pack, state }: OpenJob): string | undefined {
  return gearInHand(pack, state) ?? (pack.gears.find(({ type }) => type === 'worm') ?? pack.gears[0])?.id;
}
