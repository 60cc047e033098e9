import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/shelf';
import { SHELF_CONDITIONS, type ShelfItem } from '@patient-badger/contract';
import type { PartAttributes } from '@patient-badger/core/parts';
import { useState } from 'react';
import { View } from 'react-native';
import { ZodError } from 'zod';
import { recordShelfItem } from '../data/record.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { distanceWord, kmFrom, shownAmount } from '../wording/distance.ts';
import { CONDITIONS } from '../wording/shelfWords.ts';
import { messageOf } from '../wording/messageOf.ts';
import { schemaProblems } from '../wording/schemaProblems.ts';

interface Props {
  /** What is known of it before anything is typed. */
  readonly name?: string | undefined;
  readonly cameFrom?: string | undefined;
  readonly machineId?: string | undefined;
  readonly workedHours?: number | undefined;
  readonly workedKm?: number | undefined;
  /** Null where the dimensions typed above cannot be used; the sentence is shown there. */
  readonly attributes: PartAttributes | null;
  readonly onKept: () => void;
}

/** Where a donor came from, what it has worked, how it is and where it lies. */
export function DonorForm({ attributes, machineId, onKept, ...given }: Props) {
  const distance = distanceUnit.use();
  const [typed, setTyped] = useState({
    name: given.name ?? '',
    cameFrom: given.cameFrom ?? '',
    place: '',
    hours: given.workedHours === undefined ? '' : String(given.workedHours),
    km: given.workedKm === undefined ? '' : String(Math.round(shownAmount(given.workedKm, 'km', distance))),
    note: '',
  });
  const [condition, setCondition] = useState<ShelfItem['condition']>('notMeasured');
  const [inside, setInside] = useState(false);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const field = (name: keyof typeof typed, label: string) => (
    <Field
      label={label}
      value={typed[name]}
      onChangeText={(text) => setTyped({ ...typed, [name]: text })}
      problem={problems[name]}
      inputMode={name === 'hours' || name === 'km' ? 'decimal' : undefined}
      testID={`donor-${name}`}
    />
  );
  const keep = async () => {
    const meter = (name: 'hours' | 'km') => (typed[name].trim() === '' ? null : typedNumber(typed[name]));
    const [workedHours, workedKm] = [meter('hours'), meter('km')];
    const wrong = (name: 'hours' | 'km', value: number | null) =>
      value === null || (Number.isFinite(value) && value >= 0) ? {} : { [name]: t.thatIsNotOneNumberSentence };
    const found = { ...wrong('hours', workedHours), ...wrong('km', workedKm) };
    if (Object.keys(found).length > 0) return setProblems(found);
    if (!attributes) return setProblems({ all: t.putTheDimensionsAboveRight });
    const { name, cameFrom, place, note } = typed;
    const item = {
      name,
      cameFrom,
      place,
      note,
      attributes,
      machineId: machineId ?? null,
      workedHours,
      workedKm: workedKm === null ? null : kmFrom(workedKm, distance),
      condition,
      inside,
    };
    try {
      await recordShelfItem(item);
      onKept();
    } catch (error) {
      if (!(error instanceof ZodError)) return setProblems({ all: messageOf(error) });
      setProblems(Object.fromEntries(schemaProblems(error, item).map(({ path, sentence }) => [path.split('.')[0] || 'all', sentence])));
    }
  };
  return (
    <Card>
      {field('name', shared.whatItIs)}
      {field('cameFrom', t.theMachineItCameFrom)}
      <View className="flex-row gap-2">
        <View className="flex-1">{field('hours', t.workedHours)}</View>
        <View className="flex-1">{field('km', t.worked(distanceWord(distance)))}</View>
      </View>
      <Segments
        label={t.howItIs}
        options={SHELF_CONDITIONS.map((each) => [each, CONDITIONS[each]] as const)}
        value={condition}
        onChange={setCondition}
      />
      <Segments
        label={t.where}
        options={[
          ['out', shared.onTheShelf],
          ['in', t.stillInside],
        ]}
        value={inside ? 'in' : 'out'}
        onChange={(where) => setInside(where === 'in')}
      />
      {field('place', inside ? t.whereThatMachineStands : t.whereItLies)}
      {field('note', t.noteMayStayEmpty)}
      <Problem text={problems.all} />
      <Button variant="primary" big label={t.putItOnTheShelf} testID="keep-donor" onPress={() => void keep()} />
    </Card>
  );
}
