import type { EntryPayload } from '@patient-badger/core';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { CableTurns } from './CableTurns.tsx';
import { ChangeCard } from './ChangeCard.tsx';
import { offText } from '../wording/ratioWords.ts';
import { ReadingChart } from './ReadingChart.tsx';
import type { SpeedometerDraft } from './speedometer.ts';
import { useSpeedometer } from './useSpeedometer.ts';
import { TyreSources } from './TyreSources.tsx';
import { Pair, drift, keyOf } from './SpeedometerPair.tsx';

const SHOWN = 6;
const SPEEDS = [0, 30, 50, 80, 100, 130];

/** Said where none of the pairs keeps the rule that was asked for. */
const RULE_NOT_KEPT = {
  nearest: '',
  neverLow: 'Every pair that exists reads low. These read low by the least.',
  keepDrive: 'No pair keeps the drive gear that is in. These are the nearest.',
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
      {isFilled ? (
        <Text variant="soft">Filled from what is known of this machine and its model: check it against what you see.</Text>
      ) : null}
      <Card>
        <Text variant="head">Tyre that is on it</Text>
        {field('tyre', 'Size as printed', '185/65R14, 31x10.5R15, 6.00-16 or G78-14')}
        {field('published', 'Maker’s turns per km, if there is a sheet')}
        <View className="flex-row gap-2">
          <View className="flex-1">{field('rolledTurns', 'Rolled: turns')}</View>
          <View className="flex-1">{field('rolledMetres', 'Rolled: metres')}</View>
        </View>
        {tyre && !tyre.ok ? <Text variant="danger">{tyre.sentence}</Text> : null}
        {tyre?.ok ? <TyreSources tyre={tyre.output} /> : null}
      </Card>
      <Card>
        <Text variant="head">Gearbox and instrument</Text>
        {field('axleRatio', 'Axle ratio', '3.73')}
        <CableTurns
          cable={draft.cable}
          per={draft.cablePer}
          onCable={(cable) => set({ cable })}
          onPer={(cablePer) => set({ cablePer })}
          testID="desk-cable"
        />
        {field('drive', 'Drive gears that exist', '7, 8')}
        {field('driven', 'Driven gears for this housing', '18-24')}
        <View className="flex-row gap-2">
          <View className="flex-1">{field('nowDrive', 'In it now: drive')}</View>
          <View className="flex-1">{field('nowDriven', 'In it now: driven')}</View>
        </View>
        <Segments
          label="Which is best"
          options={[
            ['nearest', 'Nearest'],
            ['neverLow', 'Never low'],
            ['keepDrive', 'Keep drive'],
          ]}
          value={draft.rule}
          onChange={(rule) => set({ rule })}
        />
      </Card>
      {nowOff ? (
        <Card tone={Math.abs(nowOff.readingErrorPercent) > 4 ? 'danger' : 'plain'}>
          <Text variant="label">As it is now</Text>
          <Text variant="head" testID="reads-now">
            Reads {offText(nowOff.readingErrorPercent)}
          </Text>
          <Text>
            {drift(nowOff.driftPer1000)} At a true 100 it shows {(100 * (1 + nowOff.readingErrorPercent / 100)).toFixed(0)}.
          </Text>
        </Card>
      ) : null}
      {tyre?.ok ? (
        <ChangeCard draft={draft} onChange={set} tyre={tyre.output} readsNowPercent={nowOff?.readingErrorPercent ?? null} />
      ) : null}
      {question && 'why' in question ? <Text variant="soft">{question.why}</Text> : null}
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {chosen ? (
        <>
          <Text variant="head">Pairs that exist, best first</Text>
          {worked?.ok && !worked.output.ruleKept ? (
            <Text variant="danger" testID="rule-not-kept">
              {RULE_NOT_KEPT[draft.rule]}
            </Text>
          ) : null}
          <View role="radiogroup" aria-label="Pairs" className="gap-2">
            {options.slice(0, SHOWN).map((each) => (
              <Pair key={keyOf(each)} pair={each} chosen={keyOf(each) === keyOf(chosen)} onPress={() => setPicked(keyOf(each))} />
            ))}
          </View>
          {options.length > SHOWN ? <Text variant="soft">and {options.length - SHOWN} that are further off</Text> : null}
          <Text variant="soft">
            Exact:{' '}
            {worked?.ok
              ? worked.output.exactDrivenTeeth.map((each) => `drive ${each.driveTeeth} wants ${each.drivenTeeth.toFixed(2)}`).join(', ')
              : ''}{' '}
            driven teeth.
          </Text>
          <ReadingChart
            label={`How far off over speed: drive ${chosen.driveTeeth}, driven ${chosen.drivenTeeth}, reads ${offText(chosen.readingErrorPercent)}`}
            across="true speed"
            up="shown less true"
            zero
            curves={[
              {
                name: `drive ${chosen.driveTeeth}, driven ${chosen.drivenTeeth}`,
                points: SPEEDS.map((speed) => [speed, (speed * chosen.readingErrorPercent) / 100]),
              },
              ...(nowOff
                ? [
                    {
                      name: 'as it is now',
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
              label={`Keep drive ${chosen.driveTeeth}, driven ${chosen.drivenTeeth}`}
              testID="keep-ratio"
              onPress={() =>
                onKeep({
                  kind: 'ratioChosen',
                  driveTeeth: chosen.driveTeeth,
                  drivenTeeth: chosen.drivenTeeth,
                  readingErrorPercent: chosen.readingErrorPercent,
                  figures: figuresOf(draft),
                  basis: `${draft.tyre.trim()}, ${turnsPerKm?.toFixed(0)} turns/km, axle ${draft.axleRatio}, cable ${draft.cable} per ${draft.cablePer}`,
                })
              }
            />
          ) : null}
          {kept ? (
            <Text variant="strong" testID="ratio-kept">
              Kept: drive {kept.driveTeeth}, driven {kept.drivenTeeth}, reads {offText(kept.readingErrorPercent)}
            </Text>
          ) : null}
        </>
      ) : null}
    </>
  );
}
