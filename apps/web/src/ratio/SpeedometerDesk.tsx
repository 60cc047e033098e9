import { t } from '@patient-badger/wording/ratio';
import type { EntryPayload } from '@patient-badger/core/job';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { CableTurns } from './CableTurns.tsx';
import { ChangeCard } from './ChangeCard.tsx';
import { offText } from '../wording/ratioWords.ts';
import { ReadingChart } from '../desk/ReadingChart.tsx';
import type { SpeedometerDraft } from './speedometer.ts';
import { useSpeedometer } from './useSpeedometer.ts';
import { TyreSources } from './TyreSources.tsx';
import { Pair, drift, keyOf } from './SpeedometerPair.tsx';

const SHOWN = 6;
const SPEEDS = [0, 30, 50, 80, 100, 130];

/** Said where none of the pairs keeps the rule that was asked for. */
const RULE_NOT_KEPT = {
  nearest: '',
  neverLow: t.everyPairThatExistsReads,
  keepDrive: t.noPairKeepsTheDrive,
} as const;

const NOTHING = {};

const figuresOf = ({ tyre, axleRatio, cable, cablePer, drive, driven }: SpeedometerDraft) => ({
  tyre,
  axleRatio,
  cable,
  cablePer,
  drive,
  driven,
});

type RatioEntry = Extract<EntryPayload, { kind: 'ratioChosen' }>;

/** Which drive and driven gear: from the tyre by its best figure to every pair that exists, with what each reads. */
interface Props {
  readonly onKeep?: ((chosen: RatioEntry) => void) | undefined;
  readonly kept: RatioEntry | null;
  readonly jobId?: string | undefined;
  /** What is known of the machine and its model before anything is typed. */
  readonly known?: Partial<SpeedometerDraft> | undefined;
}

export function SpeedometerDesk({ onKeep, kept, jobId, known = NOTHING }: Props) {
  const { draft, set, isFilled, setPicked, tyre, turnsPerKm, question, worked, nowOff, options, chosen } = useSpeedometer({ jobId, known });
  const field = (name: keyof SpeedometerDraft, label: string, hint?: string) => (
    <Field label={label} example={hint} value={draft[name]} onChangeText={(text) => set({ [name]: text })} testID={`desk-${name}`} />
  );
  return (
    <>
      {isFilled ? <Text variant="soft">{t.filledFromWhatIsKnown}</Text> : null}
      <Card>
        <Text variant="head">{t.tyreThatIsOnIt}</Text>
        {field('tyre', t.sizeAsPrinted, t.n18565R1431x105R156)}
        <Figures typed={draft} fields={[['published', t.makersTurnsIn, 'perKm']]} onChange={set} testID={() => 'desk-published'} />
        <View className="flex-row gap-2">
          <View className="flex-1">{field('rolledTurns', t.rolledTurns)}</View>
          <View className="flex-1">{field('rolledMetres', t.rolledMetres)}</View>
        </View>
        {tyre && !tyre.ok ? <Text variant="danger">{tyre.sentence}</Text> : null}
        {tyre?.ok ? <TyreSources tyre={tyre.output} /> : null}
      </Card>
      <Card>
        <Text variant="head">{t.gearboxAndInstrument}</Text>
        {field('axleRatio', t.axleRatio, '3.73')}
        <CableTurns
          cable={draft.cable}
          per={draft.cablePer}
          onCable={(cable) => set({ cable })}
          onPer={(cablePer) => set({ cablePer })}
          testID="desk-cable"
        />
        {field('drive', t.driveGearsThatExist, '7, 8')}
        {field('driven', t.drivenGearsForThisHousing, '18-24')}
        <View className="flex-row gap-2">
          <View className="flex-1">{field('nowDrive', t.inItNowDrive)}</View>
          <View className="flex-1">{field('nowDriven', t.inItNowDriven)}</View>
        </View>
        <Segments
          label={t.whichIsBest}
          options={[
            ['nearest', t.nearest],
            ['neverLow', t.neverLow],
            ['keepDrive', t.keepDrive],
          ]}
          value={draft.rule}
          onChange={(rule) => set({ rule })}
        />
      </Card>
      {nowOff ? (
        <Card tone={Math.abs(nowOff.readingErrorPercent) > 4 ? 'danger' : 'plain'}>
          <Text variant="label">{t.asItIsNow}</Text>
          <Text variant="head" testID="reads-now">
            {t.readsWithOff(offText(nowOff.readingErrorPercent))}
          </Text>
          <Text>{t.atATrue100It(drift(nowOff.driftPer1000), (100 * (1 + nowOff.readingErrorPercent / 100)).toFixed(0))}</Text>
        </Card>
      ) : null}
      {tyre?.ok ? (
        <ChangeCard draft={draft} onChange={set} tyre={tyre.output} readsNowPercent={nowOff?.readingErrorPercent ?? null} />
      ) : null}
      {question && 'why' in question ? <Text variant="soft">{question.why}</Text> : null}
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {chosen ? (
        <>
          <Text variant="head">{t.pairsThatExistBestFirst}</Text>
          {worked?.ok && !worked.output.ruleKept ? (
            <Text variant="danger" testID="rule-not-kept">
              {RULE_NOT_KEPT[draft.rule]}
            </Text>
          ) : null}
          <View role="radiogroup" aria-label={t.pairs} className="gap-2">
            {options.slice(0, SHOWN).map((each) => (
              <Pair key={keyOf(each)} pair={each} chosen={keyOf(each) === keyOf(chosen)} onPress={() => setPicked(keyOf(each))} />
            ))}
          </View>
          {options.length > SHOWN ? <Text variant="soft">{t.andThatAreFurtherOff(options.length - SHOWN)}</Text> : null}
          <Text variant="soft">
            {t.exactDrivenTeeth(
              worked?.ok
                ? worked.output.exactDrivenTeeth.map((each) => t.driveWants(each.driveTeeth, each.drivenTeeth.toFixed(2))).join(', ')
                : '',
            )}
          </Text>
          <ReadingChart
            label={t.howFarOffOverSpeed(chosen.driveTeeth, chosen.drivenTeeth, offText(chosen.readingErrorPercent))}
            across={t.trueSpeed}
            up={t.shownLessTrue}
            zero
            curves={[
              {
                name: t.driveDriven(chosen.driveTeeth, chosen.drivenTeeth),
                points: SPEEDS.map((speed) => [speed, (speed * chosen.readingErrorPercent) / 100]),
              },
              ...(nowOff
                ? [
                    {
                      name: t.asItIsNowInline,
                      broken: true,
                      points: SPEEDS.map((speed) => [speed, (speed * nowOff.readingErrorPercent) / 100] as const),
                    },
                  ]
                : []),
            ]}
          />
          {onKeep ? (
            <Button
              variant="primary"
              big
              label={t.keepDriveDriven(chosen.driveTeeth, chosen.drivenTeeth)}
              testID="keep-ratio"
              onPress={() =>
                onKeep({
                  kind: 'ratioChosen',
                  driveTeeth: chosen.driveTeeth,
                  drivenTeeth: chosen.drivenTeeth,
                  readingErrorPercent: chosen.readingErrorPercent,
                  figures: figuresOf(draft),
                  basis: t.turnsKmAxleCablePer(
                    draft.tyre.trim(),
                    turnsPerKm?.toFixed(0) ?? '',
                    draft.axleRatio,
                    draft.cable,
                    draft.cablePer,
                  ),
                })
              }
            />
          ) : null}
          {kept ? (
            <Text variant="strong" testID="ratio-kept">
              {t.keptDriveDrivenReads(kept.driveTeeth, kept.drivenTeeth, offText(kept.readingErrorPercent))}
            </Text>
          ) : null}
        </>
      ) : null}
    </>
  );
}
