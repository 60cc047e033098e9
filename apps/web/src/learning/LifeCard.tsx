import { guideLife, type Pack } from '@patient-badger/core';
import type { Learnt } from '@patient-badger/contract';
import { useState } from 'react';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { shownAmount, unitWord } from '../wording/distance.ts';
import { ReadingChart } from '../ratio/ReadingChart.tsx';

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
        {partNumber === null ? ', all that were fitted' : `, ${partNumber}`}
      </Text>
      <Text>
        {life.failures} failed, {life.running} still {life.running === 1 ? 'runs' : 'run'}
      </Text>
      {known ? (
        <>
          <Text variant="figure">
            {figure(shown(mean))} {word}
          </Text>
          <Text variant="soft">
            on the mean; {figure(shown(meanInterval.low))} to {figure(shown(meanInterval.high))} in 95 of 100 such logs. {shapeText(shape)}
          </Text>
          <Button variant="quiet" label={open ? 'Hide the curve' : 'Show the curve'} onPress={() => setOpen(!open)} />
          {open ? (
            <ReadingChart
              label={`Share that still runs over ${word}: half are gone at ${figure(shown(life.median ?? mean))}`}
              across={word}
              up="% that still run"
              zero
              curves={[{ name: 'this shop’s log', points: curveOf({ mean: shown(mean), scale: shown(scale), shape }) }]}
            />
          ) : null}
        </>
      ) : (
        <Text variant="soft">
          Not known yet: a life is told from three failures on. Until then the guide is {figure(shown(guideLife('replace', unit)))} {word},
          which is nobody’s measurement.
        </Text>
      )}
    </Card>
  );
}

/** The share that still runs over what it has worked: exp(−(t/η)^k). */
const curveOf = ({ mean, scale, shape }: { readonly mean: number; readonly scale: number; readonly shape: number }) =>
  POINTS.map((at) => at * FURTHEST * mean).map((t) => [t, 100 * Math.exp(-((t / scale) ** shape))] as const);

const figure = (value: number): string => Number(value.toPrecision(value < 100 ? 2 : 3)).toLocaleString('en');

/** What the shape of the law says of the trouble (Weibull: below one early, near one by chance, above by wear). */
function shapeText(shape: number): string {
  if (shape < 0.8) return 'They fail early: look at fitting and parts.';
  return shape < 1.4 ? 'They fail by chance, not by age.' : 'They wear out.';
}
