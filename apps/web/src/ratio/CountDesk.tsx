import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import { View } from 'react-native';
import { createStored } from '../preferences/stored.ts';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Meter } from '../design/Meter.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';

const drafts = createStored('count-turns', {
  input: '',
  output: '',
  error: '0.05',
  kind: 'one',
  low: '8',
  high: '60',
});

/** So many turns here, so many there: the tooth counts that explain it. */
export function CountDesk() {
  const draft = drafts.use();
  const set = (change: Partial<typeof draft>) => drafts.set({ ...draft, ...change });
  const [input, output, error, low, high] = [draft.input, draft.output, draft.error, draft.low, draft.high].map(typedNumber) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const ready = input > 0 && output > 0;
  const worked = ready
    ? runOperation('ratio.infer', {
        inputTurns: { value: input, plusMinus: error >= 0 ? error : 0.05 },
        outputTurns: { value: output, plusMinus: error >= 0 ? error : 0.05 },
        stages: draft.kind === 'two' ? 2 : 1,
        worm: draft.kind === 'worm',
        teethRange: [low || 8, high || 60],
        most: 8,
      })
    : null;
  const field = (name: 'input' | 'output' | 'error' | 'low' | 'high', label: string) => (
    <View className="flex-1">
      <Field
        label={label}
        value={draft[name]}
        onChangeText={(text) => set({ [name]: text })}
        inputMode="decimal"
        testID={`count-${name}`}
      />
    </View>
  );
  return (
    <>
      <Card>
        <Text>{t.markBothShaftsTurnOne}</Text>
        <View className="flex-row gap-2">
          {field('input', shared.turnsPutIn)}
          {field('output', t.turnsThatCameOut)}
        </View>
        <View className="flex-row gap-2">
          {field('error', t.turns)}
          {field('low', t.fewestTeeth)}
          {field('high', t.mostTeeth)}
        </View>
        <Segments
          label={t.kindOfTrain}
          options={[
            ['one', t.onePair],
            ['two', t.twoPairs],
            ['worm', t.worm],
          ]}
          value={draft.kind}
          onChange={(kind) => set({ kind })}
        />
      </Card>
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? (
        <>
          <Text variant="head" testID="counted-reduction">
            {t.toOne(worked.output.reduction.value.toFixed(3), worked.output.reduction.plusMinus.toFixed(3))}
          </Text>
          {worked.output.candidates.map(({ stages, reduction, errorSigma, probability }) => (
            <Card key={JSON.stringify(stages)}>
              <Text variant="strong">{stages.map(({ driver, driven }) => `${driver} : ${driven}`).join(t.then)}</Text>
              <Meter chance={probability} />
              <Text variant="soft">{t.toOneOfTheCountings(reduction.toFixed(3), Math.abs(errorSigma).toFixed(1))}</Text>
            </Card>
          ))}
        </>
      ) : null}
    </>
  );
}
