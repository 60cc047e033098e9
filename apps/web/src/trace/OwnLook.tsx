import { t as shared } from '@patient-badger/wording/shared';
import { t } from '@patient-badger/wording/trace';
import type { OwnLook as Seen } from '@patient-badger/core/machine';
import { useState } from 'react';
import { View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { SURE_WORDS } from '../wording/sureWords.ts';

/** How many suspects are offered before one asks for all. */
const FIRST_SUSPECTS = 4;

/** What the family did not foresee: something seen, for or against one suspect, and how surely. */
export function OwnLook({ view: { job, trace } }: { view: JobView }) {
  const { write, problem } = useRecord(job.id);
  const [open, setOpen] = useState(false);
  const [all, setAll] = useState(false);
  const [saw, setSaw] = useState('');
  const [fault, setFault] = useState<string | undefined>();
  const [speaks, setSpeaks] = useState<Seen['speaks']>('for');
  const [sure, setSure] = useState<Seen['sure']>('fairly');
  if (!open) return <Button variant="quiet" label={t.iSawSomethingElse} testID="own-look" onPress={() => setOpen(true)} />;
  const words = saw.trim();
  const suspects = all ? trace.suspects : trace.suspects.slice(0, FIRST_SUSPECTS);
  const keep = async () => {
    if (!words || !fault || !(await write({ kind: 'ownLookRecorded', saw: words, fault, speaks, sure }))) return;
    setOpen(false);
    setSaw('');
    setFault(undefined);
  };
  return (
    <Card>
      <Text variant="head">{t.somethingElseThatYouSaw}</Text>
      <Field label={t.iSaw} example={t.oilOnTheInsideOf} value={saw} onChangeText={setSaw} maxLength={500} />
      <Text variant="label">{t.whichWayItSpeaks}</Text>
      <Segments
        label={t.whichWayItSpeaks}
        options={[
          ['for', t.itSpeaksFor],
          ['against', t.itSpeaksAgainst],
        ]}
        value={speaks}
        onChange={setSpeaks}
      />
      <Text variant="label">{t.aboutWhichSuspect}</Text>
      <View role="radiogroup" aria-label={t.aboutWhichSuspect} className="gap-2">
        {suspects.map(({ fault: id, name }) => (
          <Button key={id} label={name} variant={fault === id ? 'chosen' : 'plain'} checked={fault === id} onPress={() => setFault(id)} />
        ))}
      </View>
      {all || trace.suspects.length <= FIRST_SUSPECTS ? null : (
        <Button variant="quiet" label={t.allSuspects} onPress={() => setAll(true)} />
      )}
      <Text variant="label">{t.howSure}</Text>
      <Segments
        label={t.howSure}
        options={(['little', 'fairly', 'very'] as const).map((each) => [each, SURE_WORDS[each]] as const)}
        value={sure}
        onChange={setSure}
      />
      <Button variant="primary" disabled={!words || !fault} label={t.keepItAsEvidence} testID="keep-own" onPress={() => void keep()} />
      <Button variant="quiet" label={shared.leaveIt} onPress={() => setOpen(false)} />
      <Problem text={problem} />
    </Card>
  );
}
