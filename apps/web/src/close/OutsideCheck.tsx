import { t } from '@patient-badger/wording/close';
import { SIGNED_SHEET } from '@patient-badger/core/job';
import { format } from 'date-fns';
import { useState } from 'react';
import { Button } from '../design/Button.tsx';
import { DateField } from '../design/DateField.tsx';
import { Field } from '../design/Field.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PhotoButton } from '../photo/PhotoButton.tsx';
import { useSigning } from './useSigning.tsx';

/** Nobody here can: somebody from outside looks it over, signs the sheet, and is named with what they are. */
export function OutsideCheck({ view: { job, state, pack } }: { view: JobView }) {
  const { sign, form, problem } = useSigning(job.id, { isSafetyCritical: pack.safetyCritical });
  const [checker, setChecker] = useState('');
  const [licence, setLicence] = useState('');
  const [on, setOn] = useState(() => format(new Date(), 'yyyy-MM-dd'));
  const ready = checker.trim() !== '' && licence.trim() !== '' && /^\d{4}-\d\d-\d\d$/.test(on);
  return (
    <>
      <Text>{t.nobodyHereCanWhoHad}</Text>
      <PhotoButton jobId={job.id} about={SIGNED_SHEET} state={state} />
      <Field label={t.whoLookedItOver} value={checker} onChangeText={setChecker} maxLength={120} />
      <Field label={t.licenceOrTheFirm} value={licence} onChangeText={setLicence} maxLength={120} />
      <DateField label={t.onTheDay} value={on} onChange={setOn} />
      <Problem text={problem} />
      <Button
        variant="danger"
        disabled={!ready}
        label={t.theyLookedItOverAnd}
        testID="outside-check"
        onPress={() => sign({ kind: 'outsideChecked', checker: checker.trim(), licence: licence.trim(), on })}
      />
      {form}
      <Text variant="soft">{t.itCountsWithAPhoto}</Text>
    </>
  );
}
