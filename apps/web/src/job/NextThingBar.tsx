import { t } from '@patient-badger/wording/nextThing';
import { nextThing, type NextThing } from '@patient-badger/core/job';
import { usePathname, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import type { JobView } from './JobView.ts';

/** Where each is done, below the job. */
function placeOf(thing: NextThing): string {
  switch (thing.kind) {
    case 'receive':
      return thing.gear === null ? '/items' : `/receive/${thing.gear}`;
    case 'waitForPart':
      return '/items';
    case 'measure':
    case 'findPart':
      return `/gear/${thing.gear}`;
    case 'save':
    case 'make':
      return `/${thing.kind}/${thing.gear}`;
    case 'open':
      return '/open';
    case 'set':
      return '/setup';
    default:
      return '/close';
  }
}

const WORDS: { readonly [K in NextThing['kind']]: (thing: Extract<NextThing, { kind: K }>) => string } = {
  receive: () => t.nextMeasureWhatCame,
  waitForPart: ({ name }) => t.nextPartOnItsWay(name),
  measure: () => t.nextMeasure,
  findPart: () => t.nextPart,
  save: () => t.nextSave,
  make: () => t.nextMake,
  fit: () => t.nextFit,
  open: ({ name, left }) => t.nextOpen(name, left),
  close: ({ name, left }) => t.nextClose(name, left),
  set: ({ name }) => t.nextSet(name),
  prove: ({ name }) => t.nextProve(name),
  end: () => t.nextEnd,
};
const wordsOf = (thing: NextThing): string => (WORDS[thing.kind] as (thing: NextThing) => string)(thing);

/** After the decision there is one next thing at any moment, and one press to it; nothing where one stands before it already. */
export function NextThingBar({ view: { job, pack, state } }: { view: JobView }) {
  const router = useRouter();
  const here = usePathname();
  const thing = useMemo(() => nextThing(pack, state), [pack, state]);
  if (!thing) return null;
  const place = placeOf(thing);
  if (here === `/jobs/${job.id}${place}`) return null;
  return (
    <View className="no-print">
      <Button variant="chosen" label={wordsOf(thing)} testID="next-thing" onPress={() => router.navigate(`/jobs/${job.id}${place}`)} />
    </View>
  );
}
