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
    <Screen title="What we learnt" under={learnt ? `From ${learnt.jobs.toLocaleString('en')} finished jobs` : undefined} back="/">
      {working ? (
        <Text variant="soft" testID="learning" aria-live="polite">
          {working.of > 0
            ? `Reading the log: ${working.done.toLocaleString('en')} of ${working.of.toLocaleString('en')} jobs …`
            : 'Reading the log …'}
        </Text>
      ) : null}
      {error && !learnt ? (
        <Card tone="sunken">
          <Text variant="strong">The log cannot be read just now.</Text>
          <Text>{error.message} It is tried again by itself.</Text>
        </Card>
      ) : null}
      <Segments
        label="What"
        options={[
          ['lives', 'Lives'],
          ['back', 'Comes back'],
          ['pays', 'What pays'],
          ['priors', 'Odds'],
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
        <Text variant="strong">No part has a life yet.</Text>
        <Text>A life begins where a part is noted as fitted, and ends where a later job finds its gear gone.</Text>
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
        <Button variant="quiet" label={`${lives.length - list.length} more`} onPress={() => setAll(true)} />
      ) : null}
    </>
  );
}

/** All of it as open files. */
const Out = ({ learnt }: { learnt: Learnt }) => (
  <>
    <Button
      label="Save as JSON"
      detail="Everything above, with its figures"
      testID="learnt-json"
      onPress={() => saveFile('learnt.json', JSON.stringify(learnt, null, 2))}
    />
    <Button
      label="Save as a table"
      detail="Lives, come-backs and verdicts as CSV"
      testID="learnt-csv"
      onPress={() => saveText('learnt.csv', csvOf(learnt), 'text/csv')}
    />
  </>
);
