import { INSTRUMENT_NAMES } from '@patient-badger/wording/instruments';
import { t } from '@patient-badger/wording/gear';
import { t as shared } from '@patient-badger/wording/shared';
import { type INSTRUMENTS, parseReading, toMm, type LengthUnit, type Measurement } from '@patient-badger/core';
import { SEAT_SHAPES } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { instrument, lengthUnit } from '../preferences/preferences.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { toolFor } from './padReading.ts';
import { SEAT_PLACES, SEAT_WORDS, type SeatPlace, type SeatShape } from '../wording/seatWords.ts';

export type Sides = Record<'bore' | 'shaft', Partial<Record<SeatPlace, Measurement>>>;

export function SeatForm({ jobId, card, gear, onClose }: { jobId: string; card: GearCard; gear: GearState; onClose: () => void }) {
  const unit = lengthUnit.use();
  const tool = toolFor('length', instrument.use() as keyof typeof INSTRUMENTS);
  const { write, problem } = useRecord(jobId);
  const known = SEAT_SHAPES.find((each) => each === card.boreShape);
  const [shape, setShape] = useState<SeatShape>(gear.seat?.shape ?? known ?? 'round');
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const sides = readSides(typed, { shape, unit, plusMinus: tool.plusMinus });
    if ('wrong' in sides) return setWrong(sides.wrong);
    if (await write({ kind: 'seatRead', gear: card.id, shape, ...sides })) onClose();
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.seatOnTheShaft}</Text>
      <View className="flex-row flex-wrap gap-2" role="radiogroup" aria-label={t.shapeOfTheSeat}>
        {SEAT_SHAPES.map((seatShape) => (
          <Button
            key={seatShape}
            label={SEAT_WORDS[seatShape]}
            variant={seatShape === shape ? 'chosen' : 'plain'}
            checked={seatShape === shape}
            onPress={() => setShape(seatShape)}
          />
        ))}
      </View>
      {SEAT_PLACES[shape].map(([place, bore, shaft]) => (
        <View key={place} className="flex-row gap-2">
          {(
            [
              ['bore', bore],
              ['shaft', shaft],
            ] as const
          ).map(([side, label]) => (
            <View key={side} className="flex-1">
              <Field
                label={`${label}, ${unit}`}
                value={typed[`${side}.${place}`] ?? ''}
                onChangeText={(text) => setTyped({ ...typed, [`${side}.${place}`]: text })}
                inputMode="decimal"
              />
            </View>
          ))}
        </View>
      ))}
      <Text variant="soft">{t.mmTurnByAQuarter(tool.plusMinus, INSTRUMENT_NAMES[tool.id as keyof typeof INSTRUMENTS])}</Text>
      <Problem text={wrong ?? problem} />
      <View className="flex-row gap-2">
        <Button className="flex-1" label={shared.close} onPress={onClose} />
        <Button className="flex-[2]" variant="primary" label={shared.keepIt} testID="keep-seat" onPress={() => void keep()} />
      </View>
    </Card>
  );
}

export interface ReadSidesOptions {
  readonly shape: SeatShape;
  readonly unit: LengthUnit;
  readonly plusMinus: number;
}

/** The fields that were filled, in mm with the tool's ±; or what is wrong with one of them. */
export function readSides(
  typed: Readonly<Record<string, string>>,
  { shape, unit, plusMinus }: ReadSidesOptions,
): Sides | { wrong: string } {
  const sides: Sides = { bore: {}, shaft: {} };
  for (const [place, ...names] of SEAT_PLACES[shape]) {
    for (const [i, side] of (['bore', 'shaft'] as const).entries()) {
      const text = typed[`${side}.${place}`]?.trim();
      if (!text) continue;
      const value = parseReading(text);
      if (value === null || !(value > 0)) return { wrong: t.thatIsNotOneNumberType(names[i] ?? '') };
      sides[side][place] = { value: toMm(value, unit), plusMinus };
    }
  }
  return Object.keys({ ...sides.bore, ...sides.shaft }).length === 0 ? { wrong: t.measureAtLeastOneOf } : sides;
}
