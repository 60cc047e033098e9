import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { View } from 'react-native';
import { useJobs, useMachines, useShop } from '../data/queries.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { BenchPlaces } from './BenchPlaces.tsx';
import { JobCard } from './JobCard.tsx';
import type { BenchJob } from './nextMove.ts';
import { useWide } from '../design/useMedia.ts';

/** What lies on the bench, and what can be moved on now. */
export function BenchScreen() {
  const router = useRouter();
  const colours = useColours();
  const wide = useWide();
  const [finished, setFinished] = useState(false);
  const jobs = useJobs(finished ? 'closed' : 'open');
  const shop = useShop().data;
  const sorted = [...(jobs.data ?? [])]
    .filter(({ state }) => (state.closed !== null) === finished)
    .sort((p, q) => ((p.state.takenInAt ?? '') < (q.state.takenInAt ?? '') ? 1 : -1));
  return (
    <Screen
      title="Patient Badger"
      under={shop?.name}
      wide={wide}
      foot={
        <>
          <BenchPlaces />
          <Button
            variant="primary"
            big
            label="Take in a machine"
            icon={<Plus color={colours.onaccent} size={24} />}
            onPress={() => router.navigate('/take-in')}
          />
        </>
      }
    >
      <Segments
        label="Which jobs"
        options={[
          ['open', 'On the bench'],
          ['closed', 'Finished'],
        ]}
        value={finished ? 'closed' : 'open'}
        onChange={(state) => setFinished(state === 'closed')}
      />
      {jobs.data ? <JobList jobs={sorted} wide={wide} finished={finished} /> : <Unread error={jobs.error} />}
    </Screen>
  );
}

function JobList({ jobs, wide, finished }: { jobs: readonly BenchJob[]; wide: boolean; finished: boolean }) {
  const machines = useMachines().data;
  if (jobs.length === 0) {
    return (
      <Card tone="sunken">
        <Text variant="strong">{finished ? 'Nothing finished yet.' : 'The bench is clear.'}</Text>
        <Text>{finished ? 'Jobs you close are kept here with their record.' : 'Take in the first machine with the button below.'}</Text>
      </Card>
    );
  }
  return (
    <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-3'}>
      {jobs.map((job) => {
        const machine = machines?.find(({ id }) => id === job.machineId);
        return (
          <View key={job.id} className={wide ? 'w-[380px]' : ''}>
            <JobCard job={job} label={machine?.label ?? 'Machine'} owner={machine?.owner ?? ''} />
          </View>
        );
      })}
    </View>
  );
}

const Unread = ({ error }: { error: Error | null }) => (
  <Card tone="sunken">
    <Text variant="strong">{error ? 'The bench cannot be read.' : 'Looking at the bench …'}</Text>
    {error ? <Text>{error.message} It is tried again by itself.</Text> : null}
  </Card>
);
