import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { trainOf } from '../ratio/knownFigures.ts';
import { readTrain } from '../ratio/readTrain.ts';

const EMPTY = { driven: '', counted: '', readTo: '0.1', ratio: '' };

interface Props {
  readonly view: JobView;
  readonly onCounted: (note: string, passed: boolean) => void;
}

/** Turns put in against what was counted out, by the ratio of the train or one that is typed. */
export function TurnsDesk({ view: { job, pack }, onCounted }: Props) {
  const ratioOf = overall(trainOf(pack));
  const known = ratioOf === null ? {} : { ratio: String(Number(ratioOf.toPrecision(6))) };
  const { draft, set } = useDeskDraft('turns', { jobId: job.id, known, empty: EMPTY });
  const [driven, counted, readTo, ratio] = typedNumbers(draft.driven, draft.counted, draft.readTo, draft.ratio);
  const ready = driven > 0 && counted >= 0 && readTo > 0 && ratio > 0;
  const worked = ready ? runOperation('prove.turns', { driven, counted, readTo, ratio }) : null;
  const found = worked?.ok ? worked.output : null;
  return (
    <>
      <Figures
        testID={(name) => `turns-${name}`}
        typed={draft}
        fields={[
          ['driven', shared.turnsPutIn],
          ['counted', t.countedOut],
          ['readTo', t.readTo],
          ['ratio', t.inForOneOut],
        ]}
        onChange={set}
      />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant={found.agrees ? 'strong' : 'danger'} testID="turns-found">
            {t.countedWanted(
              found.agrees
                ? t.asItShouldBe
                : t.too(Math.abs(found.differencePercent).toFixed(1), found.differencePercent > 0 ? t.many : t.few),
              counted,
              Number(found.wanted.toPrecision(4)),
            )}
          </Text>
          <Button
            label={t.writeTheCountDown}
            testID="turns-kept"
            onPress={() => onCounted(t.turnsInCountedWanted(driven, counted, Number(found.wanted.toPrecision(4))), found.agrees)}
          />
        </>
      ) : null}
    </>
  );
}

/** The whole ratio of a train as it is written; null where it has none. */
function overall(text: string): number | null {
  const stages = readTrain(text);
  const worked = stages && runOperation('ratio.train', { stages });
  return worked?.ok ? worked.output.reduction : null;
}
