import { t } from '@patient-badger/wording/practice';
import { t as shared } from '@patient-badger/wording/shared';
import type { Pack } from '@patient-badger/core/machine';
import { PART_MINOR } from '@patient-badger/core/practice';
import { useState } from 'react';
import { View } from 'react-native';
import { runOperation } from '../data/runOperation.ts';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { DriveLine } from '../driveline/DriveLine.tsx';
import { resultName } from '@patient-badger/wording/results';
import { minutesText, money } from '../wording/words.ts';
import { practiceNow, type PracticeDeal } from './kept.ts';
import { LooksToTake } from './LooksToTake.tsx';

interface Props {
  readonly pack: Pack;
  readonly now: PracticeDeal;
}

/** The machine on the bench: what the owner says, what was seen, what can be looked at, and what can be bought. */
export function Working({ pack, now }: Props) {
  const [problem, setProblem] = useState<string | null>(null);
  const take = (look: string) => {
    const shown = runOperation('practice.look', { practice: now.practice, taken: now.taken.map((each) => each.look), look });
    setProblem(shown.ok ? null : shown.sentence);
    if (shown.ok) practiceNow.set({ ...now, taken: [...now.taken, { look, ...shown.output }] });
  };
  return (
    <>
      <Text variant="title">“{now.complaint}”</Text>
      <Spent now={now} />
      {pack.safetyCritical ? <Text variant="danger">{t.onARealOneThe}</Text> : null}
      <Text variant="head">{shared.seenSoFar}</Text>
      {now.taken.length === 0 ? <Text variant="soft">{shared.nothingYet}</Text> : null}
      {now.taken.map(({ look, result, minutes }, i) => (
        <View key={i} className="border-l-4 border-line pl-3" testID={`seen-${i}`}>
          <Text variant="soft">
            {pack.looks.find(({ id }) => id === look)?.name ?? look}, {minutesText(minutes)}
          </Text>
          <Text variant="strong">{resultName(pack, look, result)}</Text>
        </View>
      ))}
      <Problem text={problem} />
      <LooksToTake pack={pack} taken={now.taken} onTake={take} />
      <BuyGear pack={pack} now={now} />
      <Text variant="head">{shared.theChain}</Text>
      <DriveLine pack={pack} />
      <Button variant="quiet" label={t.giveItUpAnotherMachine} testID="practice-give-up" onPress={() => practiceNow.set(null)} />
    </>
  );
}

/** Minutes and money so far, as a clock on the wall. */
function Spent({ now }: { now: PracticeDeal }) {
  const shop = useShop().data;
  const minutes = now.taken.reduce((sum, each) => sum + each.minutes, 0);
  const minor = Math.round((minutes / 60) * (shop?.rateMinor ?? 0)) + now.bought.length * PART_MINOR;
  return (
    <Text variant="figure" testID="practice-spent" aria-live="polite">
      {minutesText(minutes)} · {money(minor, shop?.currency ?? 'EUR')}
    </Text>
  );
}

/** Gears that may be bought on suspicion, which costs where it was another. */
function BuyGear({ pack, now }: Props) {
  const [open, setOpen] = useState(false);
  const currency = useShop().data?.currency ?? 'EUR';
  if (pack.gears.length === 0) return null;
  const names = now.bought.map((gear) => pack.gears.find(({ id }) => id === gear)?.name ?? gear);
  return (
    <>
      {names.length > 0 ? <Text>{t.bought(names.join(', '))}</Text> : null}
      {open ? (
        <Card tone="sunken">
          <Text variant="strong">{t.whichGear}</Text>
          <Text>{t.eachIsCountedAtUnless(money(PART_MINOR, currency))}</Text>
          {pack.gears.map(({ id, name }) => (
            <Button
              key={id}
              label={name}
              testID={`buy-${id}`}
              onPress={() => {
                practiceNow.set({ ...now, bought: [...now.bought, id] });
                setOpen(false);
              }}
            />
          ))}
        </Card>
      ) : null}
      <Button variant="quiet" label={open ? t.buyNothing : t.buyAGearOnSuspicion} onPress={() => setOpen(!open)} />
    </>
  );
}
