import { t } from '@patient-badger/wording/bench';
import { t as shared } from '@patient-badger/wording/shared';
import type { JobRow } from '@patient-badger/contract';
import { lightFormat } from 'date-fns/lightFormat';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import Search from 'lucide-react-native/icons/search';
import { useDeferredValue, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { useRows, type RowQuery } from '../data/rows.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Screen } from '../shell/Screen.tsx';
import { LinkArea } from '../design/LinkArea.tsx';
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

const FILTERS: readonly (readonly [BenchTab, string])[] = [
  ['open', t.filterBench],
  ['now', t.filterReady],
  ['waiting', t.filterWaits],
  ['again', t.filterAgain],
  ['closed', t.filterDone],
];

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
      title={shared.patientBadger}
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
            label={shared.takeInAMachine}
            icon={<Plus color={colours.onaccent} size={24} />}
            onPress={() => router.navigate('/take-in')}
          />
        </>
      }
    >
      <View className="flex-row items-center gap-2">
        <LinkArea
          aria-label={t.findAnything}
          className="h-12 w-12 items-center justify-center rounded-md border-2 border-line bg-surface active:opacity-70"
          onPress={() => router.navigate('/find')}
        >
          <Search color={colours.accent} size={22} />
        </LinkArea>
        <Filters value={shown} onChange={setShown} />
      </View>
      {shown === 'open' ? <DueNow onShow={() => setShown('again')} /> : null}
      {finished ? <Field label={t.findByMachineOwnerComplaint} value={words} onChangeText={setWords} /> : null}
      {rows ? <JobList rows={rows} wide={wide} empty={emptyWords(shown, sought)} /> : <Unread error={jobs.error} />}
      {jobs.hasNextPage ? (
        <Button
          label={finished ? shared.earlierOnes : t.moreOfTheBench}
          disabled={jobs.isFetchingNextPage}
          onPress={() => void jobs.fetchNextPage()}
        />
      ) : null}
    </Screen>
  );
}

/** Which jobs are shown, in one line on a phone. */
const Filters = ({ value, onChange }: { value: BenchTab; onChange: (tab: BenchTab) => void }) => (
  <View role="radiogroup" aria-label={t.whichJobs} className="min-w-0 flex-1 flex-row flex-wrap gap-1">
    {FILTERS.map(([tab, name]) => (
      <Pressable
        key={tab}
        role="radio"
        aria-checked={value === tab}
        onPress={() => onChange(tab)}
        className={`min-h-[48px] grow items-center justify-center rounded-md border-2 px-1 active:opacity-70 ${value === tab ? 'border-accent bg-accent' : 'border-line bg-surface'}`}
      >
        <Text variant="label" className={value === tab ? 'text-onaccent' : 'text-ink'}>
          {name}
        </Text>
      </Pressable>
    ))}
  </View>
);

/** What is due to be looked at again, in one line; nothing while nothing is. */
function DueNow({ onShow }: { onShow: () => void }) {
  const rows = useRows(ASKED.again).rows ?? [];
  const today = lightFormat(new Date(), 'yyyy-MM-dd');
  const due = rows.filter(({ followUp }) => followUp && followUp.due <= today);
  const [first] = due;
  if (!first) return null;
  return (
    <LinkArea testID="due-now" onPress={onShow} className="min-h-[48px] justify-center border-l-4 border-danger pl-3 active:opacity-70">
      <Text variant="danger" numberOfLines={1}>
        {due.length === 1 ? t.oneIsToBeLooked : t.areToBeLookedAt(due.length)}: {first.label}
      </Text>
    </LinkArea>
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
  if (sought) return [t.noFinishedJobMatches(sought), t.theBeginningOfEachWord];
  if (shown === 'waiting') return [t.noJobWaitsForA, t.whatIsOrderedAndNot];
  if (shown === 'now') return [t.nothingCanGoOnJust, t.whatIsOnTheBench];
  if (shown === 'again') return [t.nothingIsToBeLooked, t.whatAJobPutsOn];
  if (shown === 'closed') return [t.nothingFinishedYet, t.jobsYouCloseAreKept];
  return [t.theBenchIsClear, t.takeInTheFirstMachine];
}

const Unread = ({ error }: { error: Error | null }) => (
  <Card tone="sunken">
    <Text variant="strong">{error ? t.theBenchCannotBeRead : t.lookingAtTheBench}</Text>
    {error ? <Text>{shared.itIsTriedAgainBy(error.message)}</Text> : null}
  </Card>
);
