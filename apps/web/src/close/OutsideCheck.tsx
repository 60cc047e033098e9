import { SIGNED_SHEET } from '@patient-badger/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { Button } from '../design/Button.tsx';
import { Field } from '../design/Field.tsx';
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
      <Text>
        Nobody here can who had no hand in it: let somebody from outside do it who may, such as a licensed inspector or another firm. They
        sign the printed job sheet; take a photo of it.
      </Text>
      <PhotoButton jobId={job.id} about={SIGNED_SHEET} state={state} />
      <Field label="Who looked it over" value={checker} onChangeText={setChecker} maxLength={120} />
      <Field label="Licence, or the firm" value={licence} onChangeText={setLicence} maxLength={120} />
      <Field label="On, year-month-day" value={on} onChangeText={setOn} maxLength={10} />
      {problem ? <Text variant="danger">{problem}</Text> : null}
      <Button
        variant="danger"
        disabled={!ready}
        label="They looked it over and signed"
        testID="outside-check"
        onPress={() => sign({ kind: 'outsideChecked', checker: checker.trim(), licence: licence.trim(), on })}
      />
      {form}
      <Text variant="soft">It counts with a photo of the signed sheet, taken after the last work.</Text>
    </>
  );
}
