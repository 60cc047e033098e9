import { t } from '@patient-badger/wording/ratio';
import { View } from 'react-native';
import { createStored } from '../preferences/stored.ts';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { ReadingChart } from './ReadingChart.tsx';
import { readTrain } from './readTrain.ts';

const drafts = createStored('swap', { now: '', other: '', rest: '', turnsPerKm: '', yearly: '', price: '', life: '', nowLife: '' });
const SPEEDS = [20, 40, 60, 80, 100, 120];

/** Another pair in top gear: engine speed against road speed, and what it costs by the distance it lasts. */
export function SwapDesk() {
  const draft = drafts.use();
  const field = (name: keyof typeof draft, label: string, hint?: string) => (
    <View className="flex-1">
      <Field
        label={label}
        example={hint}
        value={draft[name]}
        onChangeText={(text) => drafts.set({ ...draft, [name]: text })}
        testID={`swap-${name}`}
      />
    </View>
  );
  const pair = (name: string, typed: { readonly teeth: string; readonly life: string; readonly price: string }) => {
    const [stage] = readTrain(typed.teeth) ?? [];
    if (!stage || !('driverTeeth' in stage)) return null;
    const [lifeKm, money] = [typedNumber(typed.life), typedNumber(typed.price)];
    return { name, ...stage, ...(lifeKm > 0 && { lifeKm }), ...(money > 0 && { priceMinor: Math.round(100 * money) }) };
  };
  const now = pair(t.inItNow, { teeth: draft.now, life: draft.nowLife, price: '' });
  const other = pair(t.theOtherPair, { teeth: draft.other, life: draft.life, price: draft.price });
  const [rest, turnsPerKm, yearlyKm] = [draft.rest, draft.turnsPerKm, draft.yearly].map(typedNumber) as [number, number, number];
  const worked =
    now && other && rest > 0 && turnsPerKm > 0
      ? runOperation('ratio.swap', {
          otherReduction: rest,
          turnsPerKm,
          now,
          others: [other],
          speedsKmh: SPEEDS,
          ...(yearlyKm > 0 && { yearlyKm }),
        })
      : null;
  return (
    <>
      <Card>
        <View className="flex-row gap-2">
          {field('now', t.inItNowDriverDriven, '24:25')}
          {field('other', t.instead, '25:24')}
        </View>
        <View className="flex-row gap-2">
          {field('rest', t.reductionOfAllTheRest, '8.2')}
          {field('turnsPerKm', t.wheelTurnsPerKm, '500')}
        </View>
        <View className="flex-row gap-2">
          {field('yearly', t.kmAYear)}
          {field('price', t.priceOfTheOther)}
          {field('life', t.itLastsKm)}
        </View>
      </Card>
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? (
        <>
          <Text variant="head" testID="swap-change">
            {changeText(worked.output.options[1]?.changePercent ?? 0)}
          </Text>
          {worked.output.options[1]?.pricePer1000KmMinor ? (
            <Text>
              {t.forEach1000Km(
                (worked.output.options[1].pricePer1000KmMinor / 100).toFixed(2),
                worked.output.options[1].yearsOfLife ? t.lastsThisOwnerYears(worked.output.options[1].yearsOfLife.toFixed(1)) : '',
              )}
            </Text>
          ) : null}
          <ReadingChart
            label={t.engineSpeedOverRoadSpeed}
            across="km/h"
            up={t.engineTurnsAMinute}
            curves={worked.output.options.map(({ name, engineRpm }, i) => ({
              name,
              broken: i === 0,
              points: engineRpm.map(({ speedKmh, rpm }) => [speedKmh, rpm] as const),
            }))}
          />
          <Text variant="soft">{t.aPairThatTurnsThe}</Text>
        </>
      ) : null}
    </>
  );
}

const changeText = (percent: number) =>
  Math.abs(percent) < 0.05 ? t.noChange : t.theEngineTurns(Math.abs(percent).toFixed(1), percent < 0 ? 'slower' : 'faster');
