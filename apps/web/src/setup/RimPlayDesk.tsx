import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { ReadDial } from './ReadDial.tsx';
import { draftOf, limitsOf, setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { play: '', radius: '', ratio: '1', mesh: '', pitch: '', least: '', most: '', source: '' };

/** Play at the rim through the reduction: what of it the mesh makes, and what the joints. */
export function RimPlayDesk({ view: { job }, row, onSet }: DeskProps) {
  const { draft, set } = useDeskDraft(draftOf('rim-play', row), { jobId: job.id, known: limitsOf(row), empty: EMPTY });
  const [playMm, rimRadiusMm, ratio, backlashMm, pitchRadiusMm, maxMm] = typedNumbers(
    draft.play,
    draft.radius,
    draft.ratio,
    draft.mesh,
    draft.pitch,
    draft.most,
  );
  const ready = playMm >= 0 && rimRadiusMm > 0 && ratio > 0;
  const worked = ready
    ? runOperation('setup.rimPlay', {
        playMm,
        rimRadiusMm,
        ratio,
        ...(backlashMm >= 0 && pitchRadiusMm > 0 && { mesh: { backlashMm, pitchRadiusMm } }),
        ...(maxMm > 0 && { limit: { maxMm, source: draft.source.trim() || 'typed' } }),
      })
    : null;
  const found = worked?.ok ? worked.output : null;
  return (
    <Card>
      <Text variant="danger">{t.steeringTheMakersManualLocal}</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['play', t.freeMovementAtTheRim],
          ['radius', t.radiusOfTheRimMm],
          ['ratio', t.turnsOfTheWheelFor],
          ['mesh', t.backlashOfTheMeshAlone],
          ['pitch', t.pitchRadiusOfTheOutput],
          ['most', t.allowedAtTheRimMm],
        ]}
        onChange={set}
      />
      <ReadDial jobId={job.id} play={{}} onRead={(mesh) => set({ mesh })} />
      <Field label={t.whoseLimitThatIs} value={draft.source} onChangeText={(source) => set({ source })} />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="rim-found">
            {t.atTheWheelAtThe(found.wheelDeg.toFixed(1), found.outputDeg.toFixed(2))}
          </Text>
          {found.mesh && found.jointsMm !== null ? (
            <Text>{t.theMeshMakesMmOf(found.mesh.rimMm.toFixed(1), Math.round(found.mesh.sharePercent), found.jointsMm.toFixed(1))}</Text>
          ) : (
            <Text variant="soft">{t.withTheBacklashOfThe}</Text>
          )}
          {found.verdict === 'noLimit' ? null : (
            <Text variant={found.verdict === 'within' ? 'body' : 'danger'}>
              {found.verdict === 'within' ? t.withinTheLimit : t.moreThanTheLimit}
            </Text>
          )}
          <Button label={shared.writeItDown} testID="rim-set" onPress={() => onSet(t.mmOfPlayAtThe(playMm), draft.source.trim())} />
        </>
      ) : null}
    </Card>
  );
}
