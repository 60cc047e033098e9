import { t } from '@patient-badger/wording/learning';
import type { Pack } from '@patient-badger/core/machine';
import { guideLife } from '@patient-badger/core/parts';
import type { Learnt } from '@patient-badger/contract';
import { useState } from 'react';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { shownAmount, unitWord } from '../wording/distance.ts';
import { ReadingChart } from '../desk/ReadingChart.tsx';

type Part = Learnt['lives'][number];

const POINTS = Array.from({ length: 41 }, (_, i) => i / 40);
/** A curve is drawn to so many times its mean. */
const FURTHEST = 2.2;

/** How long one kind of part lives here, with how sure that is; "not known yet" while fewer than three failed. */
export function LifeCard({ part, pack }: { part: Part; pack: Pack | undefined }) {
  const { gear, partNumber, unit, life } = part;
  const [open, setOpen] = useState(false);
  const { mean, shape, scale, meanInterval } = life;
  const distance = distanceUnit.use();
  const word = unitWord(unit, distance);
  const shown = (amount: number) => shownAmount(amount, unit, distance);
  const known = mean !== undefined && shape !== undefined && scale !== undefined && meanInterval !== undefined;
  return (
    <Card tone={known ? 'plain' : 'sunken'} testID="life">
      <Text variant="label">{pack?.name ?? part.family}</Text>
      <Text variant="strong">
        {pack?.gears.find(({ id }) => id === gear)?.name ?? gear}
        {partNumber === null ? t.allThatWereFitted : `, ${partNumber}`}
      </Text>
      <Text>{t.failedStill(life.failures, life.running, life.running === 1 ? t.runs : t.run)}</Text>
      {known ? (
        <>
          <Text variant="figure">
            {figure(shown(mean))} {word}
          </Text>
          <Text variant="soft">{t.onTheMeanToIn(figure(shown(meanInterval.low)), figure(shown(meanInterval.high)), shapeText(shape))}</Text>
          <Button variant="quiet" label={open ? t.hideTheCurve : t.showTheCurve} onPress={() => setOpen(!open)} />
          {open ? (
            <ReadingChart
              label={t.shareThatStillRunsOver(word, figure(shown(life.median ?? mean)))}
              across={word}
              up={t.thatStillRun}
              zero
              curves={[{ name: t.thisShopsLog, points: curveOf({ mean: shown(mean), scale: shown(scale), shape }) }]}
            />
          ) : null}
        </>
      ) : (
        <Text variant="soft">{t.notKnownYetALife(figure(shown(guideLife('replace', unit))), word)}</Text>
      )}
    </Card>
  );
}

/** The share that still runs over what it has worked: exp(−(t/η)^k). */
const curveOf = ({ mean, scale, shape }: { readonly mean: number; readonly scale: number; readonly shape: number }) =>
  POINTS.map((at) => at * FURTHEST * mean).map((time) => [time, 100 * Math.exp(-((time / scale) ** shape))] as const);

const figure = (value: number): string => Number(value.toPrecision(value < 100 ? 2 : 3)).toLocaleString('en');

/** What the shape of the law says of the trouble (Weibull: below one early, near one by chance, above by wear). */
function shapeText(shape: number): string {
  if (shape < 0.8) return t.theyFailEarlyLookAt;
  return shape < 1.4 ? t.theyFailByChanceNot : t.theyWearOut;
}
