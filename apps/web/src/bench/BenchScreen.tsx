import type { JobRow } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import Search from 'lucide-react-native/icons/search';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { useRows } from '../data/rows.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { BenchPlaces } from './BenchPlaces.tsx';
import { JobCard } from './JobCard.tsx';
import { useWide } from '../design/useMedia.ts';

/** What lies on the bench, and what can be moved on now. */
export function BenchScreen() {
  const router = useRouter();
  const colours = useColours();
  const wide = useWide();
  const [finished, setFinished] = useState(false);
  const [words, setWords] = useState('');
  const sought = useDeferredValue(finished ? words.trim() : '');
  const jobs = useRows({ state: finished ? 'closed' : 'open', ...(sought && { words: sought }) });
  const shop = useShop().data;
  return (
    <Screen
      title="Patient Badger"
      under={shop?.name}
      wide={wide}
      footAcross
      foot={
        <>
          <View className={wide ? 'flex-1' : ''}>
            <BenchPlaces />
          </View>
          <Button
            className={wide ? 'flex-1' : ''}
            variant="primary"
            big
            label="Take in a machine"
            icon={<Plus color={colours.onaccent} size={24} />}
            onPress={() => router.navigate('/take-in')}
          />
        </>
      }
    >
      <Button
        label="Find anything"
        detail="Machine, owner, plate, part number, job, model"
        icon={<Search color={colours.accent} size={22} />}
        onPress={() => router.navigate('/find')}
      />
      <Segments
        label="Which jobs"
        options={[
          ['open', 'On the bench'],
          ['closed', 'Finished'],
        ]}
        value={finished ? 'closed' : 'open'}
        onChange={(state) => setFinished(state === 'closed')}
      />
      {finished ? <Field label="Find by machine, owner, complaint or what was found" value={words} onChangeText={setWords} /> : null}
      {jobs.rows ? <JobList rows={jobs.rows} wide={wide} empty={emptyWords(finished, sought)} /> : <Unread error={jobs.error} />}
      {jobs.hasNextPage ? (
        <Button
          label={finished ? 'Earlier ones' : 'More of the bench'}
          disabled={jobs.isFetchingNextPage}
          onPress={() => void jobs.fetchNextPage()}
        />
      ) : null}
    </Screen>
  );
}

/** As many as a phone shows without scrolling: they are drawn first, the others right after. */
const FIRST_ROWS = 4;

function JobList({ rows: all, wide, empty: [head, text] }: { rows: readonly JobRow[]; wide: boolean; empty: readonly [string, string] }) {
  const most = useDeferredValue(all.length, FIRST_ROWS);
  const rows = all.slice(0, Math.max(most, FIRST_ROWS));
  if (rows.length === 0) {
    return (
      <Card tone="sunken">
        <Text variant="strong">{head}</Text>
        <Text>{text}</Text>
      </Card>
    );
  }
  return (
    <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-3'}>
      {rows.map((row) => (
        <View key={row.id} className={wide ? 'w-[380px]' : ''}>
          <JobCard row={row} />
        </View>
      ))}
    </View>
  );
}

function emptyWords(finished: boolean, sought: string): readonly [string, string] {
  if (sought) return [`No finished job matches “${sought}”.`, 'The beginning of each word is enough.'];
  if (finished) return ['Nothing finished yet.', 'Jobs you close are kept here with their record.'];
  return ['The bench is clear.', 'Take in the first machine with the button below.'];
}

const Unread = ({ error }: { error: Error | null }) => (
  <Card tone="sunken">
    <Text variant="strong">{error ? 'The bench cannot be read.' : 'Looking at the bench …'}</Text>
    {error ? <Text>{error.message} It is tried again by itself.</Text> : null}
  </Card>
);
