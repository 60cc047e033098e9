import type { EntryPayload } from '@patient-badger/core';
import { useState } from 'react';
import { createStored } from '../preferences/stored.ts';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { minutesText } from '../wording/ratioWords.ts';

interface Drafts {
  readonly reading: string;
  readonly missed: string;
  readonly unit: 'km' | 'mile';
  readonly cable: string;
  readonly reason: string;
}

const drafts = createStored<Drafts>('odometer', { reading: '', missed: '', unit: 'km', cable: '1000', reason: '' });
type Corrected = Extract<EntryPayload, { kind: 'odometerCorrected' }>;

/** An odometer that stood still, brought forward by what it missed: turns, minutes, and the sheet that says so. */
export function OdometerDesk({
  onKeep,
  onSheet,
}: {
  onKeep?: ((corrected: Corrected) => void) | undefined;
  onSheet?: (() => void) | undefined;
}) {
  const draft = drafts.use();
  const set = (change: Partial<typeof draft>) => drafts.set({ ...draft, ...change });
  const [asked, setAsked] = useState(false);
  const [reading, missed, cable] = [draft.reading, draft.missed, draft.cable].map(typedNumber) as [number, number, number];
  const ready = draft.reading.trim() !== '' && draft.missed.trim() !== '' && reading >= 0 && Number.isFinite(missed) && cable > 0;
  const worked = ready ? runOperation('ratio.correct', { reading, missed, unit: draft.unit, cableTurnsPerMile: cable }) : null;
  const keep = () => {
    setAsked(true);
    if (!worked?.ok || draft.reason.trim() === '') return;
    onKeep?.({
      kind: 'odometerCorrected',
      before: reading,
      after: worked.output.newReading,
      missed,
      unit: draft.unit,
      reason: draft.reason.trim(),
    });
  };
  return (
    <>
      <Card tone="danger">
        <Text variant="danger">Setting an odometer is regulated</Text>
        <Text>
          Local law decides whether, by whom and with what notice. The app only ever goes forward, and keeps before, after and the reason.
        </Text>
      </Card>
      <Card>
        <Field
          label="The drums show"
          value={draft.reading}
          onChangeText={(text) => set({ reading: text })}
          inputMode="decimal"
          testID="odo-reading"
        />
        <Field
          label="Driven while it stood still"
          value={draft.missed}
          onChangeText={(text) => set({ missed: text })}
          inputMode="decimal"
          testID="odo-missed"
        />
        <Segments
          label="Unit of the drums"
          options={[
            ['km', 'km'],
            ['mile', 'Miles'],
          ]}
          value={draft.unit}
          onChange={(unit) => set({ unit })}
        />
        <Field label="Cable turns per mile" value={draft.cable} onChangeText={(text) => set({ cable: text })} inputMode="decimal" />
        <Field
          label="Why, and how the distance is known"
          value={draft.reason}
          onChangeText={(text) => set({ reason: text })}
          multiline
          testID="odo-reason"
          problem={asked && draft.reason.trim() === '' ? 'The sheet needs the reason.' : undefined}
        />
      </Card>
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? (
        <Card tone="next">
          <Text variant="head" testID="odo-turns">
            {Math.round(worked.output.turns).toLocaleString('en')} turns of the cable
          </Text>
          <Text>
            {minutesText(worked.output.minutesByDrill)} by a drill at 1,500 a minute, {minutesText(worked.output.minutesByHand)} by hand. It
            will show {worked.output.newReading}.
          </Text>
          {onKeep ? <Button variant="primary" big label="Write it on the job" testID="keep-odometer" onPress={keep} /> : null}
          {onSheet ? <Button label="Disclosure sheet" testID="disclosure" onPress={onSheet} /> : null}
        </Card>
      ) : null}
    </>
  );
}
