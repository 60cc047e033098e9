import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { left: '', right: '', tolerance: '3', teeth: '', module: '', crank: '1' };
const NOTHING = {};

/** Two sides of a slide: how far out of step, which is behind, and how many teeth to jump or turns at the crank. */
export function TimingDesk({ view: { job }, onSet }: DeskProps) {
  const { draft, set } = useDeskDraft('timing', { jobId: job.id, known: NOTHING, empty: EMPTY });
  const [leftMm, rightMm, toleranceMm, teeth, moduleMm, crank] = typedNumbers(
    draft.left,
    draft.right,
    draft.tolerance,
    draft.teeth,
    draft.module,
    draft.crank,
  );
  const ready = [leftMm, rightMm, toleranceMm].every((each) => each >= 0) && teeth > 0 && moduleMm > 0;
  const worked = ready
    ? runOperation('setup.timing', { leftMm, rightMm, toleranceMm, teeth, moduleMm, crankTurnsPerPinionTurn: crank > 0 ? crank : 1 })
    : null;
  const found = worked?.ok ? worked.output : null;
  return (
    <Card>
      <Text variant="danger">{t.neverUnderAnUnsupportedRoom}</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['left', t.outOnTheLeftMm],
          ['right', t.outOnTheRightMm],
          ['tolerance', t.allowedApartMm],
          ['teeth', shared.teethOfThePinion],
          ['module', shared.moduleMm],
          ['crank', t.crankTurnsForOneOf],
        ]}
        onChange={set}
      />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="timing-found">
            {found.within
              ? t.inStepMmApart(found.differenceMm.toFixed(1))
              : t.theSideIsMmBehind(
                  found.behind ?? '',
                  found.differenceMm.toFixed(1),
                  found.teeth,
                  found.teeth === 1 ? t.tooth : t.teeth,
                  found.crankTurns.toFixed(2),
                )}
          </Text>
          {found.within ? null : <Text>{t.mmAreLeftOverAfter(Math.abs(found.leftOverMm).toFixed(1))}</Text>}
          <Button
            label={found.within ? t.theyAreInStep : shared.writeItDown}
            testID="timing-set"
            onPress={() =>
              onSet(
                found.within
                  ? t.twoSidesInStepMm(found.differenceMm.toFixed(1))
                  : t.theSideMmBehind(found.behind ?? '', found.differenceMm.toFixed(1)),
              )
            }
          />
        </>
      ) : null}
    </Card>
  );
}
