import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { SHEET_TORQUE_UNITS, type MaterialId } from '@patient-badger/core';
import { runOperation } from '../data/runOperation.ts';
import { useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { MaterialChoice } from '../strength/MaterialChoice.tsx';
import { draftOf, setupField, type DeskProps } from './DeskProps.ts';
import { threeFigures } from '../wording/threeFigures.ts';

interface TorqueInput {
  readonly value: string;
  readonly unit: (typeof SHEET_TORQUE_UNITS)[number];
  readonly into: MaterialId;
  readonly major: string;
  readonly pitch: string;
  readonly engaged: string;
  readonly source: string;
}

/** A torque off a sheet in the units of the wrench, with a cap where it goes into something soft. */
export function TorqueDesk({ view: { job, pack }, row, onSet }: DeskProps) {
  const usual = useShop().data?.torqueUnit ?? 'N·m';
  const empty: TorqueInput = { value: '', unit: usual, into: 'steel', major: '', pitch: '', engaged: '', source: '' };
  const { draft, set } = useDeskDraft<TorqueInput>(draftOf('torque', row), { jobId: job.id, known: NOTHING, empty });
  const [value, major, pitch, engaged] = typedNumbers(draft.value, draft.major, draft.pitch, draft.engaged);
  const thread = major > 0 && pitch > 0 && engaged > 0 ? { majorMm: major, pitchMm: pitch, engagedMm: engaged } : undefined;
  const worked = value > 0 ? runOperation('setup.torque', { value, unit: draft.unit, ...(thread && { into: draft.into, thread }) }) : null;
  const found = worked?.ok ? worked.output : null;
  return (
    <Card>
      {pack.steps
        .flatMap(({ loose }) => loose)
        .filter(({ hand }) => hand === 'left')
        .map(({ id, name }) => (
          <Text key={id} variant="danger">
            {t.leftHandThreadItTightens(name)}
          </Text>
        ))}
      <Field
        label={t.torqueOffTheSheet}
        inputMode="decimal"
        value={draft.value}
        onChangeText={(text) => set({ value: text })}
        testID="setup-torque"
      />
      <Segments
        label={shared.unit}
        options={SHEET_TORQUE_UNITS.map((each) => [each, each] as const)}
        value={draft.unit}
        onChange={(unit) => set({ unit })}
      />
      <MaterialChoice label={t.screwsInto} value={draft.into} onChange={(into) => set({ into })} testID="setup-into" />
      <Figures
        testID={setupField}
        typed={{ major: draft.major, pitch: draft.pitch, engaged: draft.engaged }}
        fields={[
          ['major', t.threadMm],
          ['pitch', t.pitchMm],
          ['engaged', t.deepInItMm],
        ]}
        onChange={set}
      />
      <Field label={shared.whoseFigureItIs} value={draft.source} onChangeText={(source) => set({ source })} testID="setup-source" />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="torque-found">
            {t.nMFtLbIn(threeFigures(found.newtonMetres), threeFigures(found.footPounds), threeFigures(found.inchPounds))}
          </Text>
          {found.capNm === undefined ? null : (
            <Text variant={found.warnings.length > 0 ? 'danger' : 'soft'}>
              {t.aboutNMByIts(found.warnings.length > 0 ? t.moreThanThisThreadBears : '', threeFigures(Number(found.capNm.toPrecision(2))))}
            </Text>
          )}
          <Button
            label={t.itIsTight}
            testID="torque-set"
            disabled={draft.source.trim() === ''}
            onPress={() => onSet(t.tightenedTo(value, draft.unit), draft.source.trim())}
          />
        </>
      ) : null}
    </Card>
  );
}

const NOTHING = {};
