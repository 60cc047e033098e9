import { t } from '@patient-badger/wording/book';
import { t as shared } from '@patient-badger/wording/shared';
import { bookPage, type MachineModel } from '@patient-badger/contract';
import { TORQUE_UNITS } from '@patient-badger/core';
import { type Pack } from '@patient-badger/core/machine';
import { useState } from 'react';
import { call } from '../data/api.ts';
import { useAttempt } from '../data/useAttempt.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';

/** A torque off the maker's sheet for one of the screws of this kind of chain. */
export function AddTorque({ model, pack }: { model: MachineModel; pack: Pack }) {
  const refresh = useRefresh();
  const { attempt, problem } = useAttempt();
  const usual = useShop().data?.torqueUnit ?? 'N·m';
  const [open, setOpen] = useState(false);
  const [at, setAt] = useState<string | null>(null);
  const [{ value, unit, source }, setTyped] = useState({ value: '', unit: usual, source: '' });
  const [wrong, setWrong] = useState<string | null>(null);
  const places = pack.steps.flatMap(({ id: step, loose }) =>
    loose.filter(({ kind }) => kind === 'screw' || kind === 'nut' || kind === 'plug').map(({ id: item, name }) => ({ step, item, name })),
  );
  if (places.length === 0) return null;
  if (!open) return <Button label={t.writeATorqueIn} testID="add-torque" onPress={() => setOpen(true)} />;
  const keep = async () => {
    const place = places.find(({ step, item }) => `${step}/${item}` === at);
    const amount = typedNumber(value);
    if (!place) return setWrong(t.whichScrewIsIt);
    if (!(amount > 0 && amount <= 100_000)) return setWrong(t.theTorqueAsOneNumber);
    if (!source.trim()) return setWrong(t.sayWhoseFigureItIs);
    setWrong(null);
    const { step, item } = place;
    const line = { kind: 'torque', step, item, torque: { value: amount, unit, source: source.trim() } };
    await attempt(async () => {
      await call(`/api/models/${model.id}/book`, bookPage, { json: { jobId: null, source: source.trim(), lines: [line] } });
      await refresh('book');
      setOpen(false);
    });
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.writeATorqueIn}</Text>
      {places.map(({ step, item, name }) => (
        <Button
          key={`${step}/${item}`}
          label={name}
          detail={pack.steps.find(({ id }) => id === step)?.name}
          variant={at === `${step}/${item}` ? 'chosen' : 'plain'}
          checked={at === `${step}/${item}`}
          onPress={() => setAt(`${step}/${item}`)}
        />
      ))}
      <Field
        label={shared.torque}
        inputMode="decimal"
        value={value}
        onChangeText={(text) => setTyped({ value: text, unit, source })}
        testID="torque-value"
      />
      <Segments
        label={shared.unit}
        options={TORQUE_UNITS.map((each) => [each, each] as const)}
        value={unit}
        onChange={(next) => setTyped({ value, unit: next, source })}
      />
      <Field
        label={shared.whoseFigureItIs}
        value={source}
        onChangeText={(text) => setTyped({ value, unit, source: text })}
        maxLength={100}
        testID="torque-source"
      />
      <Problem text={wrong ?? problem} />
      <Button variant="primary" label={t.writeItIn} testID="keep-torque" onPress={() => void keep()} />
      <Button variant="quiet" label={shared.close} onPress={() => setOpen(false)} />
    </Card>
  );
}
