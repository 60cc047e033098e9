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
      <Text variant="danger">Steering: the maker’s manual, local codes and licensed inspection come first.</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['play', 'Free movement at the rim, mm'],
          ['radius', 'Radius of the rim, mm'],
          ['ratio', 'Turns of the wheel for one of the output'],
          ['mesh', 'Backlash of the mesh alone, mm'],
          ['pitch', 'Pitch radius of the output gear, mm'],
          ['most', 'Allowed at the rim, mm'],
        ]}
        onChange={set}
      />
      <ReadDial jobId={job.id} play={{}} onRead={(mesh) => set({ mesh })} />
      <Field label="Whose limit that is" value={draft.source} onChangeText={(source) => set({ source })} />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="rim-found">
            {found.wheelDeg.toFixed(1)}° at the wheel, {found.outputDeg.toFixed(2)}° at the output
          </Text>
          {found.mesh && found.jointsMm !== null ? (
            <Text>
              The mesh makes {found.mesh.rimMm.toFixed(1)} mm of it, {Math.round(found.mesh.sharePercent)} %; joints, keys and bearings{' '}
              {found.jointsMm.toFixed(1)} mm.
            </Text>
          ) : (
            <Text variant="soft">With the backlash of the mesh alone it says what belongs to the joints.</Text>
          )}
          {found.verdict === 'noLimit' ? null : (
            <Text variant={found.verdict === 'within' ? 'body' : 'danger'}>
              {found.verdict === 'within' ? 'Within the limit.' : 'More than the limit.'}
            </Text>
          )}
          <Button label="Write it down" testID="rim-set" onPress={() => onSet(`${playMm} mm of play at the rim`, draft.source.trim())} />
        </>
      ) : null}
    </Card>
  );
}
