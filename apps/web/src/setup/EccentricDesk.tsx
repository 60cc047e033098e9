import { useState } from 'react';
import { runOperation } from '../data/runOperation.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Figures } from '../design/Figures.tsx';
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
    if (trial.angle.trim() === '' || !(sleeveDeg >= -360 && sleeveDeg <= 360)) return setWrong('The angle in degrees, −360 to 360.');
    if (trial.backlash.trim() === '' || !(value >= 0 && value <= 50)) return setWrong('The backlash in mm.');
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
          ['wanted', 'Backlash wanted, mm'],
          ['eccentricity', 'Eccentricity, mm, if it is known'],
        ]}
        onChange={set}
      />
      <Text variant="head">Trials</Text>
      {trials.map(({ sleeveDeg, backlashMm }, i) => (
        <Text key={i}>
          {sleeveDeg}°: {backlashMm.value} mm
        </Text>
      ))}
      <Figures
        testID={setupField}
        typed={trial}
        fields={[
          ['angle', 'Sleeve at, °'],
          ['backlash', 'Backlash there, mm'],
        ]}
        onChange={(change) => setTrial({ ...trial, ...change })}
      />
      <ReadDial
        jobId={job.id}
        play={trial.angle.trim() === '' ? {} : { sleeveDeg: Math.max(-360, Math.min(360, typedNumber(trial.angle) || 0)) }}
        onRead={(backlash) => setTrial({ ...trial, backlash })}
      />
      {(wrong ?? problem) ? <Text variant="danger">{wrong ?? problem}</Text> : null}
      <Button label="Keep this trial" testID="keep-trial" onPress={() => void keep()} />
      {worked && !worked.ok ? <Text>{worked.sentence}</Text> : null}
      {found ? (
        <>
          <ReadingChart
            label={`Backlash over the sleeve’s angle: tightest at ${Math.round(found.tightestAtDeg)} degrees`}
            across="sleeve, degrees"
            up="backlash, mm"
            zero
            curves={[
              {
                name: 'through the trials',
                points: AROUND.map((deg) => [
                  deg,
                  found.meanMm - found.amplitudeMm * Math.cos(((deg - found.tightestAtDeg) * Math.PI) / 180),
                ]),
              },
              { name: 'wanted', broken: true, points: [0, 360].map((deg) => [deg, wanted] as const) },
            ]}
          />
          <Text>
            Tightest at {Math.round(found.tightestAtDeg)}°, {(found.meanMm - found.amplitudeMm).toFixed(3)} mm; the sleeve is{' '}
            {found.eccentricityMm.toFixed(3)} mm eccentric.
          </Text>
          {found.ambiguous ? <Text variant="danger">Two trials fit two sleeves: a third tells which.</Text> : null}
          {found.next ? (
            <>
              <Text variant="strong" testID="next-angle">
                Turn to {Math.round(found.next.sleeveDeg)}°: it should show {found.next.backlashMm.value.toFixed(3)} ±{' '}
                {found.next.backlashMm.plusMinus.toFixed(3)} mm
              </Text>
              <Button
                variant="primary"
                label="It shows that: it is set"
                testID="eccentric-set"
                onPress={() =>
                  onSet(`sleeve at ${Math.round(found.next?.sleeveDeg ?? 0)}°, ${wanted} mm of backlash, by ${trials.length} trials`)
                }
              />
            </>
          ) : (
            <Text variant="danger" testID="not-reachable">
              This sleeve cannot reach it: from {(found.meanMm - found.amplitudeMm).toFixed(3)} to{' '}
              {(found.meanMm + found.amplitudeMm).toFixed(3)} mm.
            </Text>
          )}
        </>
      ) : null}
      <Text variant="soft">
        Check it over the whole travel: tightest where it is straight ahead. Drill or lock the hole last, when nothing moves any more.
      </Text>
    </Card>
  );
}
