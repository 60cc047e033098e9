import { t } from '@patient-badger/wording/trace';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useKeys } from '../design/useKeys.ts';
import { percent } from '../wording/words.ts';
import { MotionPanel } from '../driveline/MotionPanel.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { SuspicionLine } from '../job/SuspicionLine.tsx';
import { Trail } from '../job/Trail.tsx';
import { useWide } from '../design/useMedia.ts';
import { priceText } from '../wording/lookWords.ts';
import { statesText } from '../wording/statesText.ts';
import { closedMinutes } from '../job/closedMinutes.ts';
import { OwnLook } from './OwnLook.tsx';
import { OwnOdds } from './OwnOdds.tsx';
import { Suspects } from './Suspects.tsx';

/** How many other looks are listed before one asks for more. */
const FIRST_OTHERS = 5;

/** Following the chain: the next useful look, the drive line with its suspicion, what was seen. */
export const TraceScreen = () => <JobFrame stage="trace">{(view) => <Tracing view={view} />}</JobFrame>;

function Tracing({ view }: { view: JobView }) {
  const { job, state, pack, trace } = view;
  const router = useRouter();
  const wide = useWide();
  const [moving, setMoving] = useState(false);
  useKeys({
    l: trace.next ? () => router.navigate(`/jobs/${job.id}/look/${trace.next?.look}`) : undefined,
    v: () => router.navigate(`/jobs/${job.id}/verdict`),
  });
  return (
    <>
      <Text variant="soft">“{state.takenIn?.complaint}”</Text>
      <FoundSoFar view={view} />
      <Suspects view={view} />
      <Segments
        label={t.theDriveLineShows}
        options={[
          ['suspicion', t.suspicion],
          ['motion', t.inMotion],
        ]}
        value={moving ? 'motion' : 'suspicion'}
        onChange={(appearance) => setMoving(appearance === 'motion')}
      />
      {moving ? <MotionPanel pack={pack} suspects={trace.suspects.map(({ fault }) => fault)} /> : null}
      {moving || wide ? null : <SuspicionLine view={view} />}
      {wide ? null : <Trail view={view} />}
      <OtherLooks view={view} />
      {state.decided ? null : <OwnLook view={view} />}
      {state.decided ? null : (
        <Button variant="quiet" label={t.decideWithoutMoreLooks} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
      )}
      {state.decided ? null : <OwnOdds pack={pack} />}
      <Text variant="soft">{t.noneOfTheseKeptSo(percent(trace.noneOfTheseProbability))}</Text>
    </>
  );
}

/** Faults found for sure while the tracing goes on. */
function FoundSoFar({ view: { pack, state, trace } }: { view: JobView }) {
  if (state.found.length === 0) return null;
  return (
    <Card>
      <Text variant="label">{t.foundAlreadyLookingForA}</Text>
      {pack.faults
        .filter(({ id }) => state.found.includes(id))
        .map(({ id, name }) => (
          <Text key={id} variant="strong">
            {name}
          </Text>
        ))}
      <Text variant="soft">{t.nothingElseWrong(percent(trace.nothingElseProbability ?? 0))}</Text>
    </Card>
  );
}

/** The looks a human may prefer, best first. */
function OtherLooks({ view: { job, pack, trace } }: { view: JobView }) {
  const router = useRouter();
  const [all, setAll] = useState(false);
  const { alternatives, notPossible } = trace;
  if (alternatives.length === 0 && notPossible.length === 0) return null;
  const shown = all ? alternatives : alternatives.slice(0, FIRST_OTHERS);
  return (
    <View className="gap-2">
      <Text variant="head">{t.otherLooks}</Text>
      {shown.map((advised) => (
        <Button
          key={advised.look}
          label={advised.name}
          detail={priceText(advised, advised.lookMinutes, closedMinutes(pack, advised.look))}
          onPress={() => router.navigate(`/jobs/${job.id}/look/${advised.look}`)}
        />
      ))}
      {alternatives.length > shown.length ? (
        <Button variant="quiet" label={t.moreLooks(alternatives.length - shown.length)} onPress={() => setAll(true)} />
      ) : null}
      {notPossible.map(({ look, states }) => (
        <Text key={look} variant="soft">
          {t.notPossibleAnyMoreIt(pack.looks.find(({ id }) => id === look)?.name ?? '', statesText(pack, states))}
        </Text>
      ))}
    </View>
  );
}
