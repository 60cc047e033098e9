import { t } from '@patient-badger/wording/setup';
import { useState } from 'react';
import { runOperation } from '../data/runOperation.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Figures } from '../design/Figures.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { ReadingChart } from '../ratio/ReadingChart.tsx';
import { ReadDial } from './ReadDial.tsx';
import { setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { wanted: '', eccentricity: '', plusMinus: '0.01' };
const NOTHING = {};
const AROUND = Array.from({ length: 37 }, (_, i) => i * 10);

/** An eccentric sleeve: trials as entries, the curve through them, the angle to turn to next; the lock hole last. */
export function EccentricDesk({ view: { job, state }, onSet }: DeskProps) {
  const { write, problem } = useRecord(job.id);
  const { draft, set } = useDeskDraft('eccentric', { jobId: job.id, known: NOTHING, empty: EMPTY });
  const [trial, setTrial] = useState({ angle: '', backlash: '' });
  const [wrong, setWrong] = useState<string | null>(null);
  const wanted = typedNumber(draft.wanted);
  const eccentricity = typedNumber(draft.eccentricity);
  const trials = state.sleeveTrials.map(({ sleeveDeg, backlashMm }) => ({ sleeveDeg, backlashMm }));
  const worked =
    trials.length > 1 && draft.wanted.trim() !== '' && wanted >= 0
      ? runOperation('setup.eccentric', { trials, wantedMm: wanted, ...(eccentricity > 0 && { eccentricityMm: eccentricity }) })
      : null;
  const keep = async () => {
    const [sleeveDeg, value, plusMinus] = [typedNumber(trial.angle), typedNumber(trial.backlash), typedNumber(draft.plusMinus)];
    if (trial.angle.trim() === '' || !(sleeveDeg >= -360 && sleeveDeg <= 360)) return setWrong(t.theAngleInDegrees360);
    if (trial.backlash.trim() === '' || !(value >= 0 && value <= 50)) return setWrong(t.theBacklashInMm);
    setWrong(null);
    if (await write({ kind: 'sleeveTried', sleeveDeg, backlashMm: { value, plusMinus: plusMinus > 0 ? plusMinus : 0.01 } }))
      setTrial({ angle: '', backlash: '' });
  };
  const found = worked?.ok ? worked.output : null;
  return (
    <Card>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['wanted', t.backlashWantedMm],
          ['eccentricity', t.eccentricityMmIfItIs],
        ]}
        onChange={set}
      />
      <Text variant="head">{t.trials}</Text>
      {trials.map(({ sleeveDeg, backlashMm }, i) => (
        <Text key={i}>{t.mm(sleeveDeg, backlashMm.value)}</Text>
      ))}
      <Figures
        testID={setupField}
        typed={trial}
        fields={[
          ['angle', t.sleeveAt],
          ['backlash', t.backlashThereMm],
        ]}
        onChange={(change) => setTrial({ ...trial, ...change })}
      />
      <ReadDial
        jobId={job.id}
        play={trial.angle.trim() === '' ? {} : { sleeveDeg: Math.max(-360, Math.min(360, typedNumber(trial.angle) || 0)) }}
        onRead={(backlash) => setTrial({ ...trial, backlash })}
      />
      <Problem text={wrong ?? problem} />
      <Button label={t.keepThisTrial} testID="keep-trial" onPress={() => void keep()} />
      {worked && !worked.ok ? <Text>{worked.sentence}</Text> : null}
      {found ? (
        <>
          <ReadingChart
            label={t.backlashOverTheSleevesAngle(Math.round(found.tightestAtDeg))}
            across={t.sleeveDegrees}
            up={t.backlashMm}
            zero
            curves={[
              {
                name: t.throughTheTrials,
                points: AROUND.map((deg) => [
                  deg,
                  found.meanMm - found.amplitudeMm * Math.cos(((deg - found.tightestAtDeg) * Math.PI) / 180),
                ]),
              },
              { name: 'wanted', broken: true, points: [0, 360].map((deg) => [deg, wanted] as const) },
            ]}
          />
          <Text>
            {t.tightestAtMmTheSleeve(
              Math.round(found.tightestAtDeg),
              (found.meanMm - found.amplitudeMm).toFixed(3),
              found.eccentricityMm.toFixed(3),
            )}
          </Text>
          {found.ambiguous ? <Text variant="danger">{t.twoTrialsFitTwoSleeves}</Text> : null}
          {found.next ? (
            <>
              <Text variant="strong" testID="next-angle">
                {t.turnToItShouldShow(
                  Math.round(found.next.sleeveDeg),
                  found.next.backlashMm.value.toFixed(3),
                  found.next.backlashMm.plusMinus.toFixed(3),
                )}
              </Text>
              <Button
                variant="primary"
                label={t.itShowsThatItIs}
                testID="eccentric-set"
                onPress={() => onSet(t.sleeveAtMmOfBacklash(Math.round(found.next?.sleeveDeg ?? 0), wanted, trials.length))}
              />
            </>
          ) : (
            <Text variant="danger" testID="not-reachable">
              {t.thisSleeveCannotReachIt((found.meanMm - found.amplitudeMm).toFixed(3), (found.meanMm + found.amplitudeMm).toFixed(3))}
            </Text>
          )}
        </>
      ) : null}
      <Text variant="soft">{t.checkItOverTheWhole}</Text>
    </Card>
  );
}
