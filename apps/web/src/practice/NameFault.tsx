import { t } from '@patient-badger/wording/practice';
import type { Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { usePerson } from '../data/person.ts';
import { runNamedInWorker } from '../data/runInWorker.ts';
import { useShop } from '../data/shop.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { keepDone, practiceNow, type PracticeDeal, type Score } from './kept.ts';

/** The end of the tracing: what is wrong with it? Then it is gone through again, which takes the advice some of a second. */
export function NameFault({ pack, now }: { pack: Pack; now: PracticeDeal }) {
  const [said, setSaid] = useState<string | null>(null);
  const { attempt, problem } = useAttempt();
  const by = usePerson();
  const rateMinorPerHour = useShop().data?.rateMinor ?? 0;
  const { practice, family, bought } = now;
  const say = (verdict: string) => {
    setSaid(verdict);
    const asked = { practice, taken: now.taken.map(({ look }) => look), verdict, bought, rateMinorPerHour };
    void attempt(async () => {
      const score = await runNamedInWorker<Score>('practice.score', asked);
      const { right, minutes, engineMinutes } = score;
      keepDone({ by, family, right, minutes, engineMinutes });
      practiceNow.set({ ...now, ended: { verdict, score } });
    }).finally(() => setSaid(null));
  };
  return (
    <>
      <Text variant="title">{t.whatIsWrongWithIt}</Text>
      <Text>“{now.complaint}”</Text>
      {pack.faults.map(({ id, name }) => (
        <Button
          key={id}
          label={name}
          detail={said === id ? t.goingThroughItAgain : undefined}
          disabled={said !== null}
          testID={`verdict-${id}`}
          onPress={() => say(id)}
        />
      ))}
      <Problem text={problem} />
    </>
  );
}
