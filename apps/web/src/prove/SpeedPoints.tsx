import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import type { Payload } from '@patient-badger/core/job';
import type { Proof } from '@patient-badger/core/machine';
import { View } from 'react-native';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Figures } from '../design/Figures.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { instrumentOn } from '../instrument/instruments.ts';
import { useInstrument } from '../instrument/useInstrument.ts';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { ReadingChart } from '../desk/ReadingChart.tsx';
import { offText } from '../wording/ratioWords.ts';

type Point = NonNullable<Payload<'proofDone'>['points']>[number];
interface SpeedInput {
  readonly shown: string;
  readonly reference: string;
  readonly points: readonly Point[];
}

interface Props {
  readonly view: JobView;
  readonly proof: Proof;
  readonly points: readonly Point[];
  readonly onPoints: (points: readonly Point[], passed: boolean) => void;
}

/** A needle beside a reference at several speeds: the line through them, what is left over, and whether it is as was reckoned. */
export function SpeedPoints({ view: { job, state }, proof, points: kept, onPoints }: Props) {
  const { draft, set } = useDeskDraft<SpeedInput>('speed', {
    jobId: job.id,
    known: NOTHING,
    empty: { shown: '', reference: '', points: kept },
  });
  const { problem, busy, read } = useInstrument(instrumentOn(job.id, 'roadSpeedReference'));
  const [shown, reference] = typedNumbers(draft.shown, draft.reference);
  const { points } = draft;
  const predicted = state.ratioChosen?.readingErrorPercent;
  const worked =
    points.length > 1
      ? runOperation('prove.speedometer', { points: [...points], ...(predicted !== undefined && { predictedPercent: predicted }) })
      : null;
  const found = worked?.ok ? worked.output : null;
  // As was reckoned is not yet as is allowed.
  const passed = found !== null && found.withinRule && found.agrees !== false;
  const ask = async () => {
    const got = await read({ look: proof.failing?.look, speed: shown, zeroed: true });
    if (got) set({ reference: String(Number(got.value.toFixed(1))) });
  };
  return (
    <View className="gap-3">
      {points.map((point, i) => (
        <View key={i} className="flex-row items-center gap-2">
          <Text className="flex-1" testID="speed-point">
            {t.needleReference(point.shown, point.reference)}
          </Text>
          <Button variant="quiet" label={t.leaveOut} onPress={() => set({ points: points.filter((_, j) => j !== i) })} />
        </View>
      ))}
      <Figures
        testID={(name) => `speed-${name}`}
        typed={{ shown: draft.shown, reference: draft.reference }}
        fields={[
          ['shown', t.needleShows],
          ['reference', t.referenceShows],
        ]}
        onChange={set}
      />
      <View className="flex-row gap-2">
        <Button
          className="flex-1"
          label={busy ? shared.reading : t.readTheReference}
          disabled={busy || !(shown > 0)}
          testID="read-reference"
          onPress={() => void ask()}
        />
        <Button
          className="flex-1"
          label={t.keepThisSpeed}
          testID="keep-speed"
          disabled={!(shown >= 0 && shown <= 2000 && reference >= 0 && reference <= 2000)}
          onPress={() => set({ points: [...points, { shown, reference }].slice(0, 50), shown: '', reference: '' })}
        />
      </View>
      <Problem text={problem} />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <ReadingChart
            label={t.theNeedleOverTheReference(offText(found.errorPercent))}
            across="reference"
            up="needle"
            curves={[
              { name: t.throughThePoints, points: lineOf(points, (x) => found.offset + (1 + found.errorPercent / 100) * x) },
              { name: 'right', broken: true, points: lineOf(points, (x) => x) },
            ]}
          />
          <Text variant="strong" testID="speed-found">
            {t.leftOver(
              offText(found.errorPercent),
              Math.abs(found.offset) < 0.05
                ? ''
                : t.allAlong(Math.abs(found.offset).toFixed(1), found.offset > 0 ? shared.more : shared.less),
              found.residual.toFixed(1),
            )}
          </Text>
          {predicted === undefined ? (
            <Text variant={found.withinRule ? 'soft' : 'danger'}>{t.noErrorWasReckonedFor(found.withinRule ? t.within : t.outsideOf)}</Text>
          ) : (
            <>
              <Text variant={found.agrees ? 'body' : 'danger'}>
                {t.reckoned(offText(predicted), found.agrees ? t.itAgrees : t.itDoesNotAgreeLook)}
              </Text>
              {found.withinRule ? null : <Text variant="danger">{t.outsideOfWhatIsAllowed}</Text>}
            </>
          )}
          <Button label={t.writeTheseSpeedsDown} testID="speed-kept" onPress={() => onPoints(points, passed)} />
        </>
      ) : null}
    </View>
  );
}

const NOTHING = {};

const lineOf = (points: readonly Point[], of: (x: number) => number): readonly (readonly [number, number])[] => {
  const most = Math.max(...points.map(({ reference }) => reference));
  return [0, most].map((x) => [x, of(x)] as const);
};
