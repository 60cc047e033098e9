import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useWide } from '../design/useScheme.ts';
import { minutesText, percent } from '../design/words.ts';
import { depthByPlace } from '../driveline/depth.ts';
import { DriveLine } from '../driveline/DriveLine.tsx';
import { MotionPanel } from '../driveline/MotionPanel.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { NextLook } from './NextLook.tsx';
import { Trail } from './Trail.tsx';

/** Following the chain: the next useful look, the drive line with its suspicion, what was seen. */
export const TraceScreen = () => <JobFrame stage="trace">{(view) => <Tracing view={view} />}</JobFrame>;

function Tracing({ view }: { view: JobView }) {
  const { job, state, pack, trace } = view;
  const router = useRouter();
  const wide = useWide();
  const [moving, setMoving] = useState(false);
  const verdict = pack.faults.find(({ id }) => id === trace.verdict?.fault);
  const decided = pack.faults.find(({ id }) => id === state.decided?.fault);
  return (
    <>
      <Text look="soft">“{state.takenIn?.complaint}”</Text>
      {decided ? (
        <Card tone="next">
          <Text look="label">Decided</Text>
          <Text look="head">{decided.name}</Text>
          <Text>{decided.remedy.text}</Text>
          <Button
            look="primary"
            big
            label={decided.remedy.part ? 'Measure the gear' : 'Set it right and prove it'}
            onPress={() => router.navigate(`/jobs/${job.id}${decided.remedy.part ? `/gear/${decided.remedy.part}` : '/close'}`)}
          />
        </Card>
      ) : null}
      {verdict && trace.verdict && !decided ? (
        <Card tone="next">
          <Text look="label">Verdict, {percent(trace.verdict.probability)} sure</Text>
          <Text look="head">{verdict.name}</Text>
          <Text>{verdict.remedy.text}</Text>
          <Button look="primary" big label="See the reasons and decide" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        </Card>
      ) : null}
      {!verdict && !decided ? <NextLook view={view} /> : null}
      <Segments
        label="The drive line shows"
        options={[
          ['suspicion', 'Suspicion'],
          ['motion', 'In motion'],
        ]}
        value={moving ? 'motion' : 'suspicion'}
        onChange={(clothes) => setMoving(clothes === 'motion')}
      />
      {moving ? <MotionPanel pack={pack} suspects={trace.suspects.map(({ fault }) => fault)} /> : null}
      {moving || wide ? null : <DriveLine pack={pack} trace={trace} depth={depthByPlace(pack, state.reached)} />}
      {wide ? null : <Trail view={view} />}
      {trace.alternatives.length > 0 ? <Text look="head">Other looks</Text> : null}
      <View className="gap-2">
        {trace.alternatives.slice(0, 8).map((each) => (
          <Button
            key={each.look}
            label={each.name}
            detail={`${minutesText(each.minutes)}${each.steps.length > 0 ? `, ${each.steps.length} steps to open first` : ''}`}
            onPress={() => router.navigate(`/jobs/${job.id}/look/${each.look}`)}
          />
        ))}
      </View>
      {decided ? null : (
        <Button look="quiet" label="Decide without more looks" onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
      )}
      <Text look="soft">
        None of these: {percent(trace.noneOfTheseProbability)}. Kept so that what you see may contradict the whole list.
      </Text>
    </>
  );
}
