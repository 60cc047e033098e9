import { t } from '@patient-badger/wording/decide';
import { t as shared } from '@patient-badger/wording/shared';
import { addDays, format, parseISO } from 'date-fns';
import { gearInHand } from '@patient-badger/core/job';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useMe, useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { money } from '../wording/words.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { OPTION_KINDS } from '@patient-badger/core/parts';
import { yearlyText, type OptionRow } from './decision.ts';
import { OPTION_WORDS, yearsText, USE_IS_COMING } from '../wording/optionWords.ts';
import { useDecision } from './useDecision.ts';

/** So many are put to an owner unless somebody chooses others; a quote holds no more than so many. */
const [USUALLY_OFFERED, MOST_OFFERED] = [3, 20];
/** So long a quote holds unless it says otherwise. */
const VALID_DAYS = 14;

/** The ways to go on in the owner's words, to print; and what the owner answered. */
export const QuoteScreen = () => (
  <JobFrame stage="decide" back={(id) => `/jobs/${id}/decide`}>
    {(view) => <Quote view={view} />}
  </JobFrame>
);

function Quote({ view }: { view: JobView }) {
  const { job, state, machine, pack } = view;
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const me = useMe();
  const distance = distanceUnit.use();
  const shop = useShop().data;
  const { ranked, currency, use, isComing } = useDecision(view, null);
  const [by, setBy] = useState<'word' | 'paper'>('word');
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const possible = ranked.filter(({ draft, rank }) => rank !== null || draft.kind === 'stop').slice(0, MOST_OFFERED);
  const usual = [
    ...possible.filter(({ rank }) => rank !== null).slice(0, USUALLY_OFFERED),
    ...possible.filter(({ rank }) => rank === null),
  ];
  const wanted = state.quote?.options ?? chosen ?? usual.map(({ draft }) => draft.option);
  const offered = possible.filter(({ draft }) => wanted.includes(draft.option));
  const turn = (option: string) => setChosen(wanted.includes(option) ? wanted.filter((each) => each !== option) : [...wanted, option]);
  const validUntil = state.quote?.validUntil ?? format(addDays(new Date(), VALID_DAYS), 'yyyy-MM-dd');
  const print = async () => {
    if (!state.quote && !(await write({ kind: 'quoteMade', validUntil, options: offered.map(({ draft }) => draft.option) }))) return;
    window.print();
  };
  const answered = ranked.find(({ draft }) => draft.option === state.answer?.option)?.draft;
  // An answer of a release that knew options by their kinds alone.
  const answeredKind = answered?.kind ?? OPTION_KINDS.find((kind) => kind === state.answer?.option);
  if (isComing) return <Text>{USE_IS_COMING}</Text>;
  return (
    <>
      <View className="gap-1">
        <Text variant="title">{t.quote}</Text>
        <Text>{t.validUntil(shop?.name ?? '', format(new Date(), 'd MMMM yyyy'), format(parseISO(validUntil), 'd MMMM yyyy'))}</Text>
        <Text>{t.forWithMoreAndMore2(machine?.owner || t.theOwner, machine?.label ?? pack.name)}</Text>
        <Text>“{state.takenIn?.complaint}”</Text>
        {state.decided ? (
          <Text>{t.weFound(state.decided.note ?? pack.faults.find(({ id }) => id === state.decided?.fault)?.name ?? '')}</Text>
        ) : null}
      </View>
      {offered.map((each) => (
        <Offer key={each.draft.option} ranked={each} currency={currency} />
      ))}
      <Text variant="soft">{t.lifeByAUseOf(yearlyText(use, distance))}</Text>
      <View className="no-print gap-3">
        {state.quote ? null : (
          <Card tone="sunken">
            <Text variant="head">{t.whatIsOffered}</Text>
            {possible.map(({ draft }) => (
              <Button
                key={draft.option}
                label={draft.name}
                detail={OPTION_WORDS[draft.kind]}
                variant={wanted.includes(draft.option) ? 'chosen' : 'plain'}
                checked={wanted.includes(draft.option)}
                several
                testID={`offer-${draft.option}`}
                onPress={() => turn(draft.option)}
              />
            ))}
          </Card>
        )}
        <Button
          variant="primary"
          big
          disabled={offered.length === 0}
          label={t.printTheQuote}
          testID="print-quote"
          onPress={() => void print()}
        />
        <Card tone={state.answer ? 'plain' : 'next'}>
          <Text variant="head">{t.whatTheOwnerSaid}</Text>
          {state.answer ? (
            <Text variant="strong" testID="answered">
              {t.to(
                answeredKind ? OPTION_WORDS[answeredKind] : state.answer.option,
                state.answer.by === 'paper' ? shared.onPaper : shared.byWord,
                state.answer.who,
                format(parseISO(state.answer.at), 'd MMM HH:mm'),
              )}
            </Text>
          ) : (
            <Text variant="soft">{t.workBegunWithoutAnAnswer}</Text>
          )}
          <Segments
            label={shared.how}
            options={[
              ['word', t.byWord],
              ['paper', t.onPaper],
            ]}
            value={by}
            onChange={setBy}
          />
          {offered.map(({ draft }) => (
            <Button
              key={draft.option}
              label={OPTION_WORDS[draft.kind]}
              detail={draft.name}
              variant={state.answer?.option === draft.option ? 'chosen' : 'plain'}
              testID={`answer-${draft.option}`}
              onPress={() => void write({ kind: 'quoteAnswered', option: draft.option, by, who: me?.name ?? t.theShop })}
            />
          ))}
          <Problem text={problem} />
          {answeredKind ? (
            <Button
              variant="primary"
              label={NEXT[answeredKind]?.label ?? t.goOnWithIt}
              testID="go-on"
              onPress={() =>
                router.navigate(
                  `/jobs/${job.id}${NEXT[answeredKind]?.to(gearInHand(view.pack, view.state) ?? pack.gears[0]?.id ?? '') ?? '/close'}`,
                )
              }
            />
          ) : null}
        </Card>
      </View>
    </>
  );
}

/** Where the chosen way goes on. */
const NEXT: Readonly<Partial<Record<OptionRow['draft']['kind'], { readonly label: string; readonly to: (gear: string) => string }>>> = {
  replace: { label: t.findAndOrderThePart, to: (gear) => `/gear/${gear}` },
  upgrade: { label: t.findAndOrderThePart, to: (gear) => `/gear/${gear}` },
  donor: { label: t.lookOnTheShelf, to: (gear) => `/parts/${gear}` },
  make: { label: t.makeIt, to: (gear) => `/make/${gear}` },
  save: { label: t.saveIt, to: (gear) => `/save/${gear}` },
  overhauledUnit: { label: t.orderTheUnit, to: () => '/items' },
  wholeAssembly: { label: shared.orderIt, to: () => '/items' },
};

function Offer({ ranked: { draft, rank }, currency }: { ranked: OptionRow; currency: string }) {
  return (
    <Card>
      <View className="flex-row items-baseline justify-between gap-2">
        <Text variant="head" className="flex-1">
          {OPTION_WORDS[draft.kind]}
        </Text>
        {rank ? <Text variant="figure">{costText(draft, rank.costMinor, currency)}</Text> : null}
      </View>
      <Text>{draft.name}</Text>
      {rank ? (
        <Text>
          {t.shouldHoldAboutAYear(
            yearsText(rank.expectedYears),
            money(Math.round(rank.costPerYearMinor), currency),
            draft.leadDays > 0 ? t.thePartTakesDays(draft.leadDays) : '',
          )}
        </Text>
      ) : null}
      {draft.leaves ? <Text>{draft.isSentence ? draft.leaves : t.notDoneByIt(draft.leaves)}</Text> : null}
    </Card>
  );
}

const costText = ({ isGuidePrice }: OptionRow['draft'], minor: number, currency: string): string => {
  const cost = money(Math.round(minor), currency);
  return isGuidePrice ? t.about(cost) : cost;
};
