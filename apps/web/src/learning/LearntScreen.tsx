import { t } from '@patient-badger/wording/learning';
import { t as shared } from '@patient-badger/wording/shared';
import type { Learnt } from '@patient-badger/contract';
import { useState } from 'react';
import { useFamilies } from '../data/families.ts';
import { useLearnt } from '../data/learnt.ts';
import { saveFile, saveText } from '../data/saveFile.ts';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { ComesBackList } from './ComesBackList.tsx';
import { csvOf } from './csvOf.ts';
import { LifeCard } from './LifeCard.tsx';
import { PaysCard } from './PaysCard.tsx';
import { PriorsList } from './PriorsList.tsx';

type LearntTab = 'lives' | 'back' | 'pays' | 'priors';
/** So many lives are shown before one asks for more. */
const FIRST = 12;

/** What the shop's own log teaches: how long parts live, what keeps coming back, what pays, and what its verdicts make of the odds. */
export function LearntScreen() {
  const { data, error } = useLearnt();
  const [shown, setShown] = useState<LearntTab>('lives');
  const { learnt, working } = data ?? {};
  return (
    <Screen title={t.whatWeLearnt} under={learnt ? t.fromFinishedJobs(learnt.jobs.toLocaleString('en')) : undefined} back="/">
      {working ? (
        <Text variant="soft" testID="learning" aria-live="polite">
          {working.of > 0 ? t.readingTheLogOfJobs(working.done.toLocaleString('en'), working.of.toLocaleString('en')) : t.readingTheLog}
        </Text>
      ) : null}
      {error && !learnt ? (
        <Card tone="sunken">
          <Text variant="strong">{t.theLogCannotBeRead}</Text>
          <Text>{shared.itIsTriedAgainBy(error.message)}</Text>
        </Card>
      ) : null}
      <Segments
        label={shared.what}
        options={[
          ['lives', t.lives],
          ['back', t.comesBack],
          ['pays', t.whatPays],
          ['priors', t.odds],
        ]}
        value={shown}
        onChange={setShown}
      />
      {learnt ? <Chosen shown={shown} learnt={learnt} /> : null}
      {learnt ? <Out learnt={learnt} /> : null}
    </Screen>
  );
}

function Chosen({ shown, learnt }: { shown: LearntTab; learnt: Learnt }) {
  const currency = useShop().data?.currency ?? 'EUR';
  switch (shown) {
    case 'lives':
      return <Lives lives={learnt.lives} />;
    case 'back':
      return <ComesBackList list={learnt.comesBack} currency={currency} />;
    case 'pays':
      return <PaysCard pays={learnt.pays} currency={currency} />;
    case 'priors':
      return <PriorsList />;
  }
}

function Lives({ lives }: { lives: Learnt['lives'] }) {
  const families = useFamilies();
  const [all, setAll] = useState(false);
  const list = all ? lives : lives.slice(0, FIRST);
  if (lives.length === 0) {
    return (
      <Card tone="sunken">
        <Text variant="strong">{t.noPartHasALife}</Text>
        <Text>{t.aLifeBeginsWhereA}</Text>
      </Card>
    );
  }
  return (
    <>
      {list.map((life) => (
        <LifeCard
          key={[life.family, life.gear, life.unit, life.partNumber].join()}
          part={life}
          pack={families.find(({ id }) => id === life.family)}
        />
      ))}
      {lives.length > list.length ? (
        <Button variant="quiet" label={t.more(lives.length - list.length)} onPress={() => setAll(true)} />
      ) : null}
    </>
  );
}

/** All of it as open files. */
const Out = ({ learnt }: { learnt: Learnt }) => (
  <>
    <Button
      label={t.saveAsJson}
      detail={t.everythingAboveWithItsFigures}
      testID="learnt-json"
      onPress={() => saveFile('learnt.json', JSON.stringify(learnt, null, 2))}
    />
    <Button
      label={t.saveAsATable}
      detail={t.livesComeBacksAndVerdicts}
      testID="learnt-csv"
      onPress={() => saveText('learnt.csv', csvOf(learnt), 'text/csv')}
    />
  </>
);
