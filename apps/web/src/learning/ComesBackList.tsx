import { t } from '@patient-badger/wording/learning';
import type { Learnt } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useFamilies } from '../data/families.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { attributeName } from '../wording/attributeWords.ts';
import { money } from '../wording/words.ts';

type Back = Learnt['comesBack'][number];

const HEADS: Readonly<Record<Back['kind'], readonly [head: string, under: string]>> = {
  machine: [t.theSameMachineTheSame, t.lookForWhatBreaksIt],
  part: [t.theSamePart, t.failedInMoreThanOne],
  refused: [t.boughtInVainAgain, t.sentBackWithTheDimension],
  hand: [t.cameBackWithinHalfA, t.byWhoHadWorkedOn],
};
const KINDS = ['machine', 'part', 'refused', 'hand'] as const;

/** What keeps coming back, the most often first, and what it cost. */
export function ComesBackList({ list, currency }: { list: Learnt['comesBack']; currency: string }) {
  const families = useFamilies();
  const router = useRouter();
  if (list.length === 0) {
    return (
      <Card tone="sunken">
        <Text variant="strong">{t.nothingCameBackYet}</Text>
      </Card>
    );
  }
  return (
    <>
      {KINDS.map((kind) => {
        const of = list.filter((each) => each.kind === kind);
        if (of.length === 0) return null;
        return (
          <View key={kind} className="gap-2" testID={`back-${kind}`}>
            <Text variant="head">{HEADS[kind][0]}</Text>
            <Text variant="soft">{HEADS[kind][1]}</Text>
            {of.map((comeback) => {
              const pack = families.find(({ id }) => id === comeback.family);
              return (
                <Card key={`${comeback.of} ${comeback.what}`}>
                  <Text variant="strong">{comeback.name}</Text>
                  <Text>{whatText(comeback, pack)}</Text>
                  <Text variant="soft">
                    {t.times(comeback.times, comeback.among === null ? '' : t.of(comeback.among), money(comeback.costMinor, currency))}
                  </Text>
                  {kind === 'machine' ? (
                    <Button variant="quiet" label={t.toItsRecord} onPress={() => router.navigate(`/machines/${comeback.of}`)} />
                  ) : null}
                </Card>
              );
            })}
          </View>
        );
      })}
    </>
  );
}

function whatText({ kind, what }: Back, pack: ReturnType<typeof useFamilies>[number] | undefined): string {
  if (what === null) return t.sameFaultOrSameGear;
  switch (kind) {
    case 'machine':
      return pack?.faults.find(({ id }) => id === what)?.name ?? what;
    case 'part':
      return pack?.gears.find(({ id }) => id === what)?.name ?? what;
    default:
      return t.decidedBy(attributeName(what));
  }
}
