import { t } from '@patient-badger/wording/ratio';
import { LOADED, type Change, type Tyre } from '@patient-badger/core';
import { View } from 'react-native';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { offText } from '../wording/ratioWords.ts';
import { changeQuestion, type SpeedometerDraft } from './speedometer.ts';

interface Props {
  readonly draft: SpeedometerDraft;
  readonly onChange: (change: Partial<SpeedometerDraft>) => void;
  /** The tyres that are on: their best figure, and what their printed size alone would say. */
  readonly tyre: Pick<Tyre, 'turnsPerKm' | 'fromSize'>;
  /** How far the pair that is in reads off on the tyres that are on; null where it is not typed. */
  readonly readsNowPercent: number | null;
}

/** Before and after, side by side: what other tyres, another axle or another top gear would do. */
export function ChangeCard({ draft, onChange, tyre: on, readsNowPercent }: Props) {
  // A size says nothing of the load: the other tyre is taken to give way by as much as the one that was measured.
  const loaded = on.fromSize ? on.turnsPerKm / on.fromSize.turnsPerKm : 1 + LOADED;
  const tyre = draft.otherTyre.trim() === '' ? null : runOperation('ratio.tyre', { size: draft.otherTyre });
  const question = changeQuestion(
    draft,
    { now: on.turnsPerKm, other: tyre?.ok ? tyre.output.turnsPerKm * loaded : null },
    readsNowPercent ?? 0,
  );
  const worked = question && runOperation('ratio.change', question);
  const field = (name: 'otherTyre' | 'otherAxle' | 'topNow' | 'topOther', label: string, problem?: string) => (
    <View className="min-w-[140px] flex-1">
      <Field
        label={label}
        value={draft[name]}
        onChangeText={(text) => onChange({ [name]: text })}
        problem={problem}
        testID={`desk-${name}`}
      />
    </View>
  );
  return (
    <Card>
      <Text variant="head">{t.ifSomethingWereChanged}</Text>
      <View className="flex-row flex-wrap gap-2">
        {field('otherTyre', t.otherTyresSize, tyre && !tyre.ok ? tyre.sentence : undefined)}
        {field('otherAxle', t.otherAxleRatio)}
        {field('topNow', t.topGearNow)}
        {field('topOther', t.otherTopGear)}
      </View>
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? <SideBySide change={worked.output} readsNow={readsNowPercent ?? 0} /> : null}
      {worked?.ok && readsNowPercent === null ? <Text variant="soft">{t.takenToReadTrueAs}</Text> : null}
    </Card>
  );
}

function SideBySide({ change, readsNow }: { change: Change; readsNow: number }) {
  const { readsAfterPercent, shown, engine, engineChangePercent, axleForTheSame } = change;
  const rows = [
    [t.reads, offText(readsNow), offText(readsAfterPercent)],
    ...shown.map(({ trueKmh, before, after }) => [t.showsAt(trueKmh), before.toFixed(1), after.toFixed(1)]),
    ...engine.map(({ trueKmh, rpmBefore, rpmAfter }) => [t.engineAtKmH(trueKmh), `${rpmBefore.toFixed(0)}`, `${rpmAfter.toFixed(0)}`]),
  ];
  return (
    <>
      <View role="table" aria-label={t.nowAndAfterTheChange} testID="change-table">
        {[['', t.now, t.after], ...rows].map(([name, before, after], i) => (
          <View key={name} role="row" className={`flex-row py-1 ${i === 0 ? 'border-b-2' : 'border-b'} border-line`}>
            {[name, before, after].map((text, k) => (
              <Text
                key={k}
                role={i === 0 ? 'columnheader' : 'cell'}
                variant={i === 0 ? 'label' : 'body'}
                className={k === 0 ? 'w-[44%]' : 'w-[28%] text-right'}
              >
                {text}
              </Text>
            ))}
          </View>
        ))}
      </View>
      <Text variant="soft">
        {t.theEngineTurnsToPull(
          Math.abs(engineChangePercent).toFixed(1),
          engineChangePercent < 0 ? t.slower : t.faster,
          axleForTheSame.toFixed(2),
        )}
      </Text>
    </>
  );
}
