import { t } from '@patient-badger/wording/ratio';
import { t as shared } from '@patient-badger/wording/shared';
import type { EntryPayload } from '@patient-badger/core';
import { useState } from 'react';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber } from '../design/typedNumber.ts';
import { CableTurns, type CablePer } from './CableTurns.tsx';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { minutesText } from '../wording/words.ts';

interface Drafts {
  readonly reading: string;
  readonly missed: string;
  readonly unit: 'km' | 'mile';
  /** Where it is turned: the cable, or the gear at the drums itself. */
  readonly turned: 'cable' | 'drums';
  readonly cable: string;
  readonly cablePer: CablePer;
  readonly perUnit: string;
  readonly reason: string;
}

const EMPTY: Drafts = {
  reading: '',
  missed: '',
  unit: 'km',
  turned: 'cable',
  cable: '',
  cablePer: 'mile',
  perUnit: '',
  reason: '',
};

/** The turns as `ratio.correct` takes them; null while they are not given. */
function turnsGiven({ turned, cable, cablePer, perUnit }: Drafts) {
  const given = typedNumber(turned === 'cable' ? cable : perUnit);
  if (!(given > 0)) return null;
  if (turned === 'drums') return { turnsPerUnit: given };
  return cablePer === 'mile' ? { cableTurnsPerMile: given } : { cableTurnsPerKm: given };
}

const NOTHING = {};

type OdometerEntry = Extract<EntryPayload, { kind: 'odometerCorrected' }>;

/** An odometer that stood still, brought forward by what it missed: turns, minutes, and the sheet that says so. */
export function OdometerDesk({
  onKeep,
  onSheet,
  jobId,
  known = NOTHING,
}: {
  onKeep?: ((corrected: OdometerEntry) => void) | undefined;
  onSheet?: (() => void) | undefined;
  jobId?: string | undefined;
  known?: Partial<Drafts> | undefined;
}) {
  const { draft, set } = useDeskDraft('odometer-desk', { jobId, known, empty: EMPTY });
  const [asked, setAsked] = useState(false);
  const reading = typedNumber(draft.reading);
  const missed = typedNumber(draft.missed);
  const turns = turnsGiven(draft);
  const ready = draft.reading.trim() !== '' && draft.missed.trim() !== '' && reading >= 0 && Number.isFinite(missed) && turns !== null;
  const worked = ready ? runOperation('ratio.correct', { reading, missed, unit: draft.unit, ...turns }) : null;
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
        <Text variant="danger">{t.settingAnOdometerIsRegulated2}</Text>
        <Text>{t.localLawDecidesWhetherBy}</Text>
      </Card>
      <Card>
        <Field
          label={t.theDrumsShow}
          value={draft.reading}
          onChangeText={(text) => set({ reading: text })}
          inputMode="decimal"
          testID="odo-reading"
        />
        <Field
          label={t.drivenWhileItStoodStill}
          value={draft.missed}
          onChangeText={(text) => set({ missed: text })}
          inputMode="decimal"
          testID="odo-missed"
        />
        <Segments
          label={t.unitOfTheDrums}
          options={[
            ['km', 'km'],
            ['mile', shared.miles],
          ]}
          value={draft.unit}
          onChange={(unit) => set({ unit })}
        />
        <WhereTurned draft={draft} onChange={set} />
        <Field
          label={t.whyAndHowTheDistance}
          value={draft.reason}
          onChangeText={(text) => set({ reason: text })}
          multiline
          testID="odo-reason"
          problem={asked && draft.reason.trim() === '' ? t.theSheetNeedsTheReason : undefined}
        />
      </Card>
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok ? (
        <Card tone="next">
          <Text variant="head" testID="odo-turns">
            {t.turnsOfThe(Math.round(worked.output.turns).toLocaleString('en'), draft.turned === 'cable' ? t.cable : t.gearAtTheDrums)}
          </Text>
          <Text>
            {t.byADrillAt1(minutesText(worked.output.minutesByDrill), minutesText(worked.output.minutesByHand), worked.output.newReading)}
          </Text>
          {onKeep ? <Button variant="primary" big label={t.writeItOnTheJob} testID="keep-odometer" onPress={keep} /> : null}
          {onSheet ? <Button label={t.disclosureSheet} testID="disclosure" onPress={onSheet} /> : null}
        </Card>
      ) : null}
    </>
  );
}

/** What the drill is put to: the cable’s square, or with the instrument open the gear at the drums. */
function WhereTurned({ draft, onChange }: { draft: Drafts; onChange: (change: Partial<Drafts>) => void }) {
  return (
    <>
      <Segments
        label={t.whatIsTurned}
        options={[
          ['cable', t.theCable],
          ['drums', t.gearAtTheDrums2],
        ]}
        value={draft.turned}
        onChange={(turned) => onChange({ turned })}
      />
      {draft.turned === 'cable' ? (
        <CableTurns
          cable={draft.cable}
          per={draft.cablePer}
          onCable={(cable) => onChange({ cable })}
          onPer={(cablePer) => onChange({ cablePer })}
          testID="odo-cable"
        />
      ) : (
        <Field
          label={t.turnsOfThatGearFor(draft.unit)}
          value={draft.perUnit}
          onChangeText={(text) => onChange({ perUnit: text })}
          inputMode="decimal"
          testID="odo-per-unit"
        />
      )}
    </>
  );
}
