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
      <Text variant="danger">Never under an unsupported room; fingers out of the racks.</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['left', 'Out on the left, mm'],
          ['right', 'Out on the right, mm'],
          ['tolerance', 'Allowed apart, mm'],
          ['teeth', 'Teeth of the pinion'],
          ['module', 'Module, mm'],
          ['crank', 'Crank turns for one of the pinion'],
        ]}
        onChange={set}
      />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="timing-found">
            {found.within
              ? `In step: ${found.differenceMm.toFixed(1)} mm apart`
              : `The ${found.behind} side is ${found.differenceMm.toFixed(1)} mm behind: jump it ${found.teeth} ${found.teeth === 1 ? 'tooth' : 'teeth'} forward, or ${found.crankTurns.toFixed(2)} turns at the crank`}
          </Text>
          {found.within ? null : (
            <Text>{Math.abs(found.leftOverMm).toFixed(1)} mm are left over after the jump. Measure both sides again.</Text>
          )}
          <Button
            label={found.within ? 'They are in step' : 'Write it down'}
            testID="timing-set"
            onPress={() =>
              onSet(
                found.within
                  ? `two sides in step, ${found.differenceMm.toFixed(1)} mm apart`
                  : `the ${found.behind} side ${found.differenceMm.toFixed(1)} mm behind`,
              )
            }
          />
        </>
      ) : null}
    </Card>
  );
}
