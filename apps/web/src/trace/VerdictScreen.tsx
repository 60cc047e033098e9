import { t } from '@patient-badger/wording/trace';
import { remediesOf, usualRemedy, type Fault, type Pack, type TraceOutput } from '@patient-badger/core/machine';
import { minutesToTheEnd } from '@patient-badger/core/job';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Meter } from '../design/Meter.tsx';
import { Text } from '../design/Text.tsx';
import { bitsText, minutesText, percent } from '../wording/words.ts';
import { OPTION_WORDS } from '../wording/optionWords.ts';
import { BypassCard } from '../job/BypassCard.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { resultName } from '@patient-badger/wording/results';
import { alsoSure } from './alsoSure.ts';
import { leftAtThat } from './leftAtThat.ts';
import { GoOn, NothingElse, NotListed, Accept } from './VerdictAnswers.tsx';

/** Who did it, why we think so, and what to do about it. The mechanic decides; the app gives reasons. */
export const VerdictScreen = () => (
  <JobFrame stage="trace" back={(id) => `/jobs/${id}`}>
    {(view) => <Verdict view={view} />}
  </JobFrame>
);

function headOf({ verdict }: TraceOutput): string {
  if (!verdict) return t.notSureYetMostLikely;
  return verdict.faults.length > 1 ? t.verdictBoth : t.verdict;
}

export function Verdict({ view }: { view: JobView }) {
  const { pack, state, trace } = view;
  if (leftAtThat(view)) return <NothingElse view={view} />;
  if (trace.end?.kind === 'noneOfThese') return <NothingListed view={view} />;
  const [first, ...others] = trace.suspects;
  const fault = pack.faults.find(({ id }) => id === first?.fault);
  if (!first || !fault) return null;
  const also = alsoSure(view, fault.id);
  const usual = [fault, ...also].flatMap((each) => usualRemedy(pack, each) ?? []);
  const minutes = minutesToTheEnd(pack, state, [fault, ...also]);
  return (
    <>
      <Text variant="label">{headOf(trace)}</Text>
      <Text variant="title">{fault.name}</Text>
      <Meter chance={first.probability} />
      <Text>{fault.tell}</Text>
      {also.map(({ id, name, tell }) => (
        <View key={id} className="gap-1">
          <Text variant="title">{t.and(name)}</Text>
          <Text>{tell}</Text>
        </View>
      ))}
      <Card tone="next">
        <Text variant="head">
          {usual.some(({ parts }) => parts.some(({ gear }) => gear !== undefined)) ? t.aPartIsNeeded : t.noGearToBuy}
        </Text>
        {usual.map(({ id, name }) => (
          <Text key={id}>{name}</Text>
        ))}
        {minutes === null ? null : <Text variant="soft">{t.aboutOfWork(minutesText(minutes))}</Text>}
        <Accept view={view} fault={fault} besides={also} probability={first.probability} main />
        {state.decided ? null : <GoOn view={view} fault={fault} probability={first.probability} />}
        <Ways pack={pack} fault={fault} />
      </Card>
      <BypassCard view={view} />
      <Text variant="head">{t.why}</Text>
      <Reasons view={view} suspect={first} />
      <StillPossible view={view} suspects={others} />
      <Unlisted view={view} />
    </>
  );
}

/** How people go on from it, before one of them is chosen with the owner. */
function Ways({ pack, fault }: { pack: Pack; fault: Fault }) {
  const ways = remediesOf(pack, fault);
  if (ways.length < 2) return null;
  return (
    <View className="gap-1" testID="ways">
      <Text variant="label">{t.waysToGoOn}</Text>
      {ways.map(({ id, kind, name, suits }) => (
        <Text key={id}>{t.wayFor(OPTION_WORDS[kind], name, suits)}</Text>
      ))}
    </View>
  );
}

/** Nothing of the list leads: what it was is said in one's own words, or the list is chosen from all the same. */
const NothingListed = ({ view }: { view: JobView }) => (
  <>
    <Text variant="title">{t.probablyNothingOnThisList}</Text>
    <Unlisted view={view} />
    <StillPossible view={view} suspects={view.trace.suspects} />
  </>
);

const Unlisted = ({ view }: { view: JobView }) => (
  <Card tone="sunken">
    <Text variant="strong">{t.somethingThatIsNotOn}</Text>
    <Meter chance={view.trace.noneOfTheseProbability} />
    <NotListed view={view} />
  </Card>
);

/** So many others are offered. */
const MOST_OTHERS = 5;

const StillPossible = ({ view, suspects }: { view: JobView; suspects: TraceOutput['suspects'] }) => (
  <>
    <Text variant="head">{t.itCouldStillBe}</Text>
    <View className="gap-3">
      {suspects.slice(0, MOST_OTHERS).map((suspect) => {
        const other = view.pack.faults.find(({ id }) => id === suspect.fault);
        return other ? (
          <Card key={suspect.fault}>
            <Text variant="strong">{suspect.name}</Text>
            <Meter chance={suspect.probability} />
            {/* What a suspect would want is no advice: it is not the verdict. */}
            <Text variant="soft">{other.tell}</Text>
            <Accept view={view} fault={other} probability={suspect.probability} />
          </Card>
        ) : null;
      })}
    </View>
  </>
);

/** The words of a look of one's own, which stands in the reasons by its place. */
const ownWords = (state: JobView['state'], look: string): string | undefined =>
  look.startsWith('own:') ? t.youSaw(state.ownLooks[Number(look.slice(4))]?.saw ?? '') : undefined;

function Reasons({ view: { pack, state }, suspect }: { view: JobView; suspect: TraceOutput['suspects'][number] }) {
  if (suspect.because.length === 0) {
    return <Text variant="soft">{t.nothingWasSeenYetThat(percent(suspect.prior))}</Text>;
  }
  return (
    <View className="gap-2">
      <Text variant="soft">{t.atTheStartByHow(percent(suspect.prior))}</Text>
      {suspect.because.map(({ look, result, bits }) => (
        <View key={look} className="border-l-4 border-line pl-3">
          <Text>{ownWords(state, look) ?? `${pack.looks.find(({ id }) => id === look)?.name}: ${resultName(pack, look, result)}`}</Text>
          <Text variant="soft">{t.bits(bitsText(bits), bits > 0 ? '+' : '−', Math.abs(bits).toFixed(1))}</Text>
        </View>
      ))}
    </View>
  );
}
