import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { readCounts } from '../wording/ratioWords.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { readTrain } from './readTrain.ts';

const EMPTY = { chain: '', wanted: '', gears: '', moduleMm: '1', centre: '' };

/** A train reckoned through, and trains from the gears there are for a ratio that is wanted. */
export function TrainDesk({ jobId, chain: known }: { jobId?: string | undefined; chain?: string | undefined }) {
  const { draft, set, isFilled } = useDeskDraft('train', { jobId, known: known ? { chain: known } : {}, empty: EMPTY });
  const stages = readTrain(draft.chain);
  const train = stages && runOperation('ratio.train', { stages });
  const teeth = readCounts(draft.gears);
  const [wanted, moduleMm, centre] = [draft.wanted, draft.moduleMm, draft.centre].map(typedNumber) as [number, number, number];
  const found = ([1, 2] as const).map((count) =>
    wanted > 0 && teeth && teeth.length > 1 && moduleMm > 0
      ? runOperation('ratio.design', {
          reduction: wanted,
          stages: count,
          gears: teeth.map((each) => ({ teeth: each, normalModuleMm: moduleMm })),
          ...(centre > 0 && { centreDistanceMm: centre }),
          most: 4,
        })
      : null,
  );
  return (
    <>
      <Card>
        <Text variant="head">{t.reckonATrainThrough}</Text>
        <Field
          label={t.driverDrivenStageAfterStage}
          example="10:40 1w:30"
          value={draft.chain}
          onChangeText={(chain) => set({ chain })}
          testID="train-chain"
          problem={draft.chain.trim() !== '' && !stages ? t.writeItLike1040 : undefined}
        />
        {isFilled ? <Text variant="soft">{t.theCountsOfThisMachines}</Text> : null}
        {train?.ok ? (
          <Text variant="head" testID="train-reduction">
            {t.turnsInForOneOut(train.output.reduction.toFixed(4))}
          </Text>
        ) : null}
        {train && !train.ok ? <Text variant="danger">{train.sentence}</Text> : null}
      </Card>
      <Card>
        <Text variant="head">{t.findATrain}</Text>
        <Field
          label={t.reductionThatIsWanted}
          value={draft.wanted}
          onChangeText={(text) => set({ wanted: text })}
          inputMode="decimal"
          testID="train-wanted"
        />
        <Field
          label={t.gearsThereAre}
          example="12, 15, 18-24, 36, 48"
          value={draft.gears}
          onChangeText={(gears) => set({ gears })}
          testID="train-gears"
        />
        <Field label={shared.moduleMm} value={draft.moduleMm} onChangeText={(text) => set({ moduleMm: text })} inputMode="decimal" />
        <Field label={t.centreDistanceToKeepMm} value={draft.centre} onChangeText={(text) => set({ centre: text })} inputMode="decimal" />
      </Card>
      {found.map((solution, i) => {
        if (!solution) return null;
        if (!solution.ok)
          return i === 0 ? (
            <Text key={i} variant="danger">
              {solution.sentence}
            </Text>
          ) : null;
        return solution.output.trains.map(({ stages: list, reduction, errorPercent }) => (
          <Card key={JSON.stringify(list)}>
            <Text variant="strong">{list.map(({ driver, driven }) => `${driver} : ${driven}`).join(t.then)}</Text>
            <Text variant="soft">
              {t.shaftsMmApart(
                reduction.toFixed(4),
                Math.abs(errorPercent) < 0.005 ? t.exact : `${errorPercent > 0 ? '+' : '−'}${Math.abs(errorPercent).toFixed(2)} %`,
                list.map(({ centreDistanceMm }) => centreDistanceMm.toFixed(1)).join(shared.and2),
              )}
            </Text>
          </Card>
        ));
      })}
    </>
  );
}
