import { t } from '@patient-badger/wording/practice';
import { t as shared } from '@patient-badger/wording/shared';
import { cautionsOn, type Look, type Pack } from '@patient-badger/core/machine';
import { wayTo } from '@patient-badger/core/practice';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { resultName } from '@patient-badger/wording/results';
import { minutesText } from '../wording/words.ts';
import type { TakenLook } from './kept.ts';

interface Props {
  readonly pack: Pack;
  readonly taken: readonly TakenLook[];
  readonly onTake: (look: string) => void;
}

/** Every look with what it costs from where the machine stands. What it would tell is for the learner to judge. */
export function LooksToTake({ pack, taken, onTake }: Props) {
  /** The look that lies open, and how many were taken then: one more is this one, and what it shows stands where it was pressed. */
  const [open, setOpen] = useState<{ readonly look: string; readonly after: number } | null>(null);
  const named = ({ look }: TakenLook) => pack.looks.filter(({ id }) => id === look);
  const reached = taken.flatMap(named).reduce<readonly string[]>((before, look) => wayTo(pack, look, before).reached, []);
  return (
    <>
      <Text variant="head">{t.looks}</Text>
      {pack.looks.map((look) => {
        const way = wayTo(pack, look, reached).minutes;
        if (open?.look === look.id) {
          const shown = taken.length > open.after ? taken.at(-1) : undefined;
          return (
            <Card key={look.id} tone="next">
              <Text variant="strong">{look.name}</Text>
              {shown ? <Shown pack={pack} {...shown} /> : <ToDo pack={pack} look={look} minutes={look.minutes + way} onTake={onTake} />}
              <Button
                variant={shown ? 'plain' : 'quiet'}
                label={shown ? t.goOn : shared.notNow}
                testID="practice-close"
                onPress={() => setOpen(null)}
              />
            </Card>
          );
        }
        const times = taken.filter((each) => each.look === look.id).length;
        return (
          <Button
            key={look.id}
            label={look.name}
            detail={`${minutesText(look.minutes)}${way > 0 ? t.andToGetThere(minutesText(way)) : ''}${times > 0 ? t.takenAlready : ''}`}
            testID={`practice-look-${look.id}`}
            onPress={() => setOpen({ look: look.id, after: taken.length })}
          />
        );
      })}
    </>
  );
}

const Shown = ({ pack, look, result, minutes }: TakenLook & { readonly pack: Pack }) => (
  <View testID="practice-shown" aria-live="polite">
    <Text variant="title">{resultName(pack, look, result)}</Text>
    <Text variant="soft">{t.itTook(minutesText(minutes))}</Text>
  </View>
);

interface ToDoProps {
  readonly pack: Pack;
  readonly look: Look;
  readonly minutes: number;
  readonly onTake: (look: string) => void;
}

/** What to do for it, what can hurt, and what it costs. */
const ToDo = ({ pack, look, minutes, onTake }: ToDoProps) => (
  <>
    <Text>{look.how}</Text>
    {cautionsOn(pack, look.cautions, []).map(({ id, text }) => (
      <Text key={id} variant="danger">
        {text}
      </Text>
    ))}
    <Button variant="primary" label={t.takeThisLook(minutesText(minutes))} testID="practice-take" onPress={() => onTake(look.id)} />
  </>
);
