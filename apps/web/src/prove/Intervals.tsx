import { t } from '@patient-badger/wording/prove';
import { t as shared } from '@patient-badger/wording/shared';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import type { JobView } from '../job/JobView.ts';
import { distanceUnit } from '../preferences/preferences.ts';
import { keptAmount, unitWord } from '../wording/distance.ts';
import { intervalText } from '../wording/intervalText.ts';

/** What the machine wants again after so much use or so many days: kept on its own record, where it comes due. */
export function Intervals({ view: { job, state } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const distance = distanceUnit.use();
  const [open, setOpen] = useState(false);
  const { hours, distanceKm } = state.facts;
  const [unit, setUnit] = useState<'hours' | 'km'>(typeof hours === 'number' || distanceKm === undefined ? 'hours' : 'km');
  const read = unit === 'hours' ? hours : distanceKm;
  const [draft, setDraft] = useState({ what: '', units: '', days: '', source: '' });
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = async () => {
    const [units, days] = typedNumbers(draft.units, draft.days);
    if (draft.what.trim() === '') return setWrong(t.sayWhatItWantsAgain);
    if (!(units > 0) && !(days > 0)) return setWrong(t.afterHowManyHoursOr);
    if (days > 0 && (!Number.isInteger(days) || days > 36_500)) return setWrong(t.daysAreWholeUpTo);
    setWrong(null);
    const kept = await write({
      kind: 'intervalSet',
      what: draft.what.trim(),
      every: { ...(units > 0 && { units: keptAmount(units, unit, distance) }), ...(days > 0 && { days }) },
      ...(units > 0 && { unit }),
      ...(units > 0 && typeof read === 'number' && { reading: read }),
      ...(draft.source.trim() && { source: draft.source.trim() }),
    });
    if (!kept) return;
    setDraft({ what: '', units: '', days: '', source: '' });
    setOpen(false);
  };
  return (
    <View className="gap-2">
      {state.intervals.map((interval) => (
        <Text key={interval.what}>
          {t.againEvery(interval.what, intervalText(interval, distance), interval.source ? ` (${interval.source})` : '')}
        </Text>
      ))}
      {open ? (
        <Card tone="sunken">
          <Field
            label={t.whatItWantsAgain}
            example={t.greaseOilBelt}
            value={draft.what}
            onChangeText={(what) => setDraft({ ...draft, what })}
            testID="interval-what"
          />
          <Segments
            label={shared.countedIn}
            options={[
              ['hours', shared.hours],
              ['km', unitWord('km', distance)],
            ]}
            value={unit}
            onChange={setUnit}
          />
          <Figures
            testID={(name) => `interval-${name}`}
            typed={{ units: draft.units, days: draft.days }}
            fields={[
              ['units', t.afterSoMany(unitWord(unit, distance))],
              ['days', t.orSoManyDays],
            ]}
            onChange={(change) => setDraft({ ...draft, ...change })}
          />
          <Field label={shared.whoseFigureThatIs} value={draft.source} onChangeText={(source) => setDraft({ ...draft, source })} />
          <Problem text={wrong ?? problem} />
          <FormFoot label={shared.keepIt} testID="keep-interval" onKeep={() => void keep()} onClose={() => setOpen(false)} />
        </Card>
      ) : (
        <Button
          className="no-print"
          label={t.itWantsSomethingAgain}
          detail={t.greaseOilABeltBy}
          testID="add-interval"
          onPress={() => setOpen(true)}
        />
      )}
    </View>
  );
}
