import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';

const WORDS = {
  from: t.firstToothThatHasWorked,
  to: t.lastToothThatHasWorked,
  needTeeth: t.teethThatTheTravelNeeds,
} as const;
type Place = keyof typeof WORDS;

interface Props {
  readonly jobId: string;
  readonly card: GearCard;
  readonly gear: GearState;
  /** Teeth that are there. */
  readonly teeth: number | undefined;
  /** Of a piece of a round: the teeth of the whole, by which a tooth is so many degrees. */
  readonly sectorOf?: number | undefined;
}

/** A wheel of which only an arc works can often be turned on its shaft, so that fresh teeth come into mesh. */
export function ArcsCard({ jobId, card, gear, teeth, sectorOf }: Props) {
  const { write, problem } = useRecord(jobId);
  const [typed, setTyped] = useState<Partial<Record<Place, string>>>({});
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  if (teeth === undefined) return null;
  const { arcs } = gear;
  const shape = sectorOf === undefined ? {} : ({ shape: 'sector', fullTeeth: Math.max(sectorOf, teeth) } as const);
  const keep = async () => {
    const [from, to, needTeeth] = (['from', 'to', 'needTeeth'] as const).map((place) => Number(typed[place])) as [number, number, number];
    const checked = runOperation('gear.arcs', { teeth, ...shape, worked: [{ from, to }], needTeeth });
    if (!checked.ok) return setWrong(checked.sentence);
    if (await write({ kind: 'arcsNoted', gear: card.id, teeth, from, to, needTeeth })) setOpen(false);
  };
  if (open) {
    return (
      <Card tone="next">
        <Text variant="head">{t.onlyPartOfItWorks}</Text>
        <Text>{t.markAToothAsNumber}</Text>
        {(Object.keys(WORDS) as Place[]).map((place) => (
          <Field
            key={place}
            label={WORDS[place]}
            value={typed[place] ?? ''}
            inputMode="numeric"
            onChangeText={(text) => setTyped({ ...typed, [place]: text })}
          />
        ))}
        <Problem text={wrong ?? problem} />
        <View className="flex-row gap-2">
          <Button className="flex-1" label={shared.close} onPress={() => setOpen(false)} />
          <Button className="flex-[2]" variant="primary" label={shared.keepIt} testID="keep-arcs" onPress={() => void keep()} />
        </View>
      </Card>
    );
  }
  const worked =
    arcs &&
    runOperation('gear.arcs', { teeth: arcs.teeth, ...shape, worked: [{ from: arcs.from, to: arcs.to }], needTeeth: arcs.needTeeth });
  if (!worked?.ok)
    return <Button label={t.onlyPartOfItWorks} detail={t.freshTeethCanBeTurned} testID="open-arcs" onPress={() => setOpen(true)} />;
  const { positions, workedTeeth } = worked.output;
  const [first] = positions;
  return (
    <Card>
      <Text variant="label">{t.teethThatHaveWorked(workedTeeth)}</Text>
      <Text variant="head" testID="fresh-positions">
        {positions.length === 0 ? t.noFreshPositionLeft : t.freshLeft(positions.length, positions.length === 1 ? t.position : t.positions)}
      </Text>
      {first ? (
        <Text>
          {t.nearestTurnItByTeeth(
            Math.abs(first.turnTeeth),
            Math.abs(first.turnDeg).toFixed(0),
            first.turnTeeth > 0 ? t.againstTheCount : t.withTheCount,
            first.from,
            first.to,
          )}
        </Text>
      ) : null}
      <Button variant="quiet" label={shared.countAgain} onPress={() => setOpen(true)} />
    </Card>
  );
}
