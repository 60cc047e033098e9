import { t } from '@patient-badger/wording/decide';
import { t as shared } from '@patient-badger/wording/shared';
import { inUseUnit, type UseUnit } from '@patient-badger/core';
import Slider from '@react-native-community/slider';
import { View } from 'react-native';
import { Card } from '../design/Card.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { twoFigures, yearlyText, type Use } from './decision.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { unitWord } from '../wording/distance.ts';
import { yearsText } from '../wording/optionWords.ts';

/** The widest a year's use is drawn, by its unit. */
const MOST: Readonly<Record<UseUnit, number>> = { hours: 1000, km: 40_000, years: 1 };
const MOST_YEARS = 20;

interface Props {
  readonly use: Use;
  readonly isAssumed: boolean;
  readonly onChange: (use: Use) => void;
  /** Let go of: worth writing down. */
  readonly onKeep: (use: Use) => void;
}

/** How much it is used and how long it is kept: dragged, and the costs follow. */
export function UseCard({ use, isAssumed, onChange, onKeep }: Props) {
  const colours = useColours();
  const distance = distanceUnit.use();
  const { perYear, unit, horizonYears = MOST_YEARS } = use;
  // Even on a line from one to the most: a little use and a lot are both a finger's width wide.
  const place = Math.log(Math.max(1, perYear)) / Math.log(MOST[unit]);
  const amount = (at: number) => twoFigures(MOST[unit] ** at);
  const slider = { minimumTrackTintColor: colours.accent, maximumTrackTintColor: colours.line, thumbTintColor: colours.accent };
  return (
    <Card>
      <Text variant="head">{unit === 'years' ? t.usedAllYear : t.used(yearlyText(use, distance))}</Text>
      {isAssumed ? <Text variant="soft">{t.assumedNoMeterWasRead}</Text> : null}
      <Segments
        label={shared.countedIn}
        options={[
          ['hours', shared.hours],
          ['km', unitWord('km', distance)],
        ]}
        value={unit === 'years' ? undefined : unit}
        onChange={(next) => next !== unit && onKeep({ ...use, unit: next, perYear: twoFigures(inUseUnit(perYear, unit, next)) })}
      />
      {unit === 'years' ? null : (
        <Slider
          {...slider}
          aria-label={t.useAYear(unitWord(unit, distance))}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(100 * place)}
          aria-valuetext={yearlyText(use, distance)}
          testID="use-slider"
          style={{ height: 48 }}
          minimumValue={0}
          maximumValue={1}
          step={0.01}
          value={place}
          onValueChange={(at) => onChange({ ...use, perYear: amount(at) })}
          onSlidingComplete={(at) => onKeep({ ...use, perYear: amount(at) })}
        />
      )}
      <View>
        <Text variant="strong">{t.toBeKept(yearsText(horizonYears))}</Text>
        <Slider
          {...slider}
          aria-label={t.yearsThatItIsTo}
          aria-valuemin={1}
          aria-valuemax={MOST_YEARS}
          aria-valuenow={horizonYears}
          aria-valuetext={yearsText(horizonYears)}
          testID="horizon-slider"
          style={{ height: 48 }}
          minimumValue={1}
          maximumValue={MOST_YEARS}
          step={1}
          value={horizonYears}
          onValueChange={(years) => onChange({ ...use, horizonYears: years })}
          onSlidingComplete={(years) => onKeep({ ...use, horizonYears: years })}
        />
      </View>
    </Card>
  );
}
