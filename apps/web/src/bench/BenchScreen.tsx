import type { JobRow } from '@patient-badger/contract';
import { lightFormat } from 'date-fns/lightFormat';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import Search from 'lucide-react-native/icons/search';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { useRows, type RowQuery } from '../data/rows.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { BenchPlaces } from './BenchPlaces.tsx';
import { inTurn } from './inTurn.ts';
import { JobCard } from './JobCard.tsx';
import { useWide } from '../design/useMedia.ts';

type BenchTab = 'open' | 'now' | 'waiting' | 'again' | 'closed';
const ASKED = {
  open: { state: 'open' },
  now: { state: 'open', waits: 'no' },
  waiting: { state: 'open', waits: 'yes' },
  again: { again: 'yes' },
  closed: { state: 'closed' },
} as const satisfies Record<BenchTab, RowQuery>;

/** What lies on the bench, and what can be moved on now. */
export function BenchScreen() {
  const router = useRouter();
  const colours = useColours();
  const wide = useWide();
  const [shown, setShown] = useState<BenchTab>('open');
  const finished = shown === 'closed';
  const [words, setWords] = useState('');
  const sought = useDeferredValue(words.trim());
  const jobs = useRows({ ...ASKED[shown], ...(sought && { words: sought }) });
  const rows = jobs.rows && !finished && shown !== 'again' ? inTurn(jobs.rows) : jobs.rows;
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
          ['now', 'Can go on'],
          ['waiting', 'Waits for a part'],
          ['again', 'Look again'],
          ['closed', 'Finished'],
        ]}
        value={shown}
        onChange={setShown}
      />
      {shown === 'open' ? <DueNow onShow={() => setShown('again')} /> : null}
      {finished ? <Field label="Find by machine, owner, complaint or what was found" value={words} onChangeText={setWords} /> : null}
      {rows ? <JobList rows={rows} wide={wide} empty={emptyWords(shown, sought)} /> : <Unread error={jobs.error} />}
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

/** What is due to be looked at again, in one line; nothing while nothing is. */
function DueNow({ onShow }: { onShow: () => void }) {
  const rows = useRows(ASKED.again).rows ?? [];
  const today = lightFormat(new Date(), 'yyyy-MM-dd');
  const due = rows.filter(({ followUp }) => followUp && followUp.due <= today);
  const [first] = due;
  if (!first) return null;
  return (
    <Button
      label={due.length === 1 ? 'One is to be looked at again' : `${due.length} are to be looked at again`}
      detail={`${first.label}: ${first.followUp?.what}`}
      testID="due-now"
      onPress={onShow}
    />
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

function emptyWords(shown: BenchTab, sought: string): readonly [string, string] {
  if (sought) return [`No finished job matches “${sought}”.`, 'The beginning of each word is enough.'];
  if (shown === 'waiting') return ['No job waits for a part.', 'What is ordered and not here yet is listed here.'];
  if (shown === 'now') return ['Nothing can go on just now.', 'What is on the bench waits for a part.'];
  if (shown === 'again')
    return ['Nothing is to be looked at again.', 'What a job puts on the list at its end stays here until it is done.'];
  if (shown === 'closed') return ['Nothing finished yet.', 'Jobs you close are kept here with their record.'];
  return ['The bench is clear.', 'Take in the first machine with the button below.'];
}

const Unread = ({ error }: { error: Error | null }) => (
  <Card tone="sunken">
    <Text variant="strong">{error ? 'The bench cannot be read.' : 'Looking at the bench …'}</Text>
    {error ? <Text>{error.message} It is tried again by itself.</Text> : null}
  </Card>
);
