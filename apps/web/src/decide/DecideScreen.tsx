import { gearInHand, isMakeable } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/decide';
import { torqueText } from '../preferences/lengthText.ts';
import { notOfferedText } from '@patient-badger/wording/options';
import { t as shared } from '@patient-badger/wording/shared';
import type { OptionDraft } from './decision.ts';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { TakeBack } from '../log/TakeBack.tsx';
import { CostChart } from './CostChart.tsx';
import type { Use } from './decision.ts';
import { LookWorth } from './LookWorth.tsx';
import { OptionCard } from './OptionCard.tsx';
import { OptionForm } from './OptionForm.tsx';
import { USE_IS_COMING } from '../wording/optionWords.ts';
import { useDecision } from './useDecision.ts';
import { UseCard } from './UseCard.tsx';

/** What can be done now, what each way costs in a year that it holds, and what to ask the owner. */
export const DecideScreen = () => (
  <JobFrame stage="decide" back={(id) => `/jobs/${id}`}>
    {(view) => <Deciding view={view} />}
  </JobFrame>
);

function Deciding({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const router = useRouter();
  const { write, problem: refused } = useRecord(job.id);
  const [dragged, setDragged] = useState<Use | null>(null);
  const [adding, setAdding] = useState(false);
  const { options, notOffered, ranked, use, isComing, isAssumed, problem, currency, rateMinor } = useDecision(view, dragged);
  const gear = gearInHand(view.pack, view.state);
  const keep = (next: Use) => {
    setDragged(next);
    void write({
      kind: 'useAssumed',
      perYear: next.perYear,
      unit: next.unit,
      costPerDownDayMinor: next.costPerDownDayMinor,
      ...(next.horizonYears !== undefined && { horizonYears: next.horizonYears }),
      // Only what was written: it may have been dragged on meanwhile, and waits its turn.
    }).then(() => setDragged((now) => (now === next ? null : now)));
  };
  if (isComing) return <Text>{USE_IS_COMING}</Text>;
  return (
    <>
      <Text variant="title">{t.decideWithTheOwner}</Text>
      <LookWorth view={view} options={options} rateMinor={rateMinor} currency={currency} />
      {state.decided ? null : (
        <Card tone="sunken">
          <Text variant="strong">{t.nothingIsDecidedYetSay}</Text>
          <Button label={t.toTheVerdict} onPress={() => router.navigate(`/jobs/${job.id}/verdict`)} />
        </Card>
      )}
      {rateMinor === 0 ? <Text variant="danger">{t.theShopHasNoRate}</Text> : null}
      <UseCard use={use} isAssumed={isAssumed} onChange={setDragged} onKeep={keep} />
      <CostChart ranked={ranked} currency={currency} />
      <Problem text={problem ?? refused} />
      <View className="gap-3">
        {ranked.map((option, i) => (
          <OptionCard
            key={option.draft.option}
            jobId={job.id}
            pack={view.pack}
            ranked={option}
            first={i === 0 && option.rank !== null}
            currency={currency}
            unit={use.unit}
          />
        ))}
      </View>
      {notOffered.length > 0 ? (
        <Card tone="sunken" testID="not-offered">
          <Text variant="strong">{t.notOffered}</Text>
          {notOffered.map((each) => (
            <Text key={each.name}>{notOfferedText(each, torqueText)}</Text>
          ))}
        </Card>
      ) : null}
      {adding ? (
        <OptionForm jobId={job.id} draft={blank()} unit={use.unit} onDone={() => setAdding(false)} />
      ) : (
        <Button label={t.addAnotherWay} testID="add-option" onPress={() => setAdding(true)} />
      )}
      <Button
        variant="primary"
        big
        label={t.theQuoteForTheOwner}
        testID="to-quote"
        onPress={() => router.navigate(`/jobs/${job.id}/quote`)}
      />
      <Button
        label={shared.theWeakestLink}
        detail={t.whichPartBreaksFirstAnd}
        testID="to-strength"
        onPress={() => router.navigate(`/jobs/${job.id}/strength`)}
      />
      {gear && isMakeable(pack) ? (
        <View className="flex-row gap-2">
          <Button
            className="flex-1"
            label={shared.saveTheOldPart}
            testID="to-save"
            onPress={() => router.navigate(`/jobs/${job.id}/save/${gear}`)}
          />
          <Button
            className="flex-1"
            label={shared.makeOne}
            testID="to-make"
            onPress={() => router.navigate(`/jobs/${job.id}/make/${gear}`)}
          />
        </View>
      ) : null}
      <TakeBack view={view} kinds={['optionKept', 'optionDropped', 'useAssumed', 'quoteMade', 'quoteAnswered']} />
    </>
  );
}

/** A way that nobody drafted. */
const blank = (): OptionDraft => ({
  option: `own-${uuid()}`,
  kind: 'repair',
  name: '',
  partsMinor: null,
  minutes: 30,
  leadDays: 0,
  lifeMean: 100,
  lifeShape: 2,
  comeBackRisk: 0.1,
  downtimeDays: 0,
  leaves: '',
  why: t.addedByHand,
});
