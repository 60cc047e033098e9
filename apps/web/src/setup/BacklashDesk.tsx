import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumber, typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { ReadDial } from './ReadDial.tsx';
import { draftOf, limitsOf, setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { reading: '', at: '', pitch: '', helix: '0', least: '', most: '', source: '' };
const VERDICTS = {
  tight: t.tooTightItRunsHot,
  within: t.withinTheLimits,
  loose: t.tooLoose,
  noLimit: t.noLimitGivenLookIt,
} as const;

/** Backlash read at any radius, brought to the pitch circle and held against its limits. */
export function BacklashDesk({ view: { job }, row, onSet }: DeskProps) {
  const { draft, set } = useDeskDraft(draftOf('backlash', row), { jobId: job.id, known: limitsOf(row), empty: EMPTY });
  const [reading, at, pitch, least, most] = typedNumbers(draft.reading, draft.at, draft.pitch, draft.least, draft.most);
  const ready = reading >= 0 && at > 0 && pitch > 0;
  const limits =
    Number.isFinite(least) && Number.isFinite(most) ? { minMm: least, maxMm: most, source: draft.source.trim() || 'typed' } : undefined;
  const worked = ready
    ? runOperation('setup.backlash', {
        readingMm: reading,
        readAtRadiusMm: at,
        pitchRadiusMm: pitch,
        helixAngleDeg: typedNumber(draft.helix) || 0,
        ...(limits && { limits }),
      })
    : null;
  const found = worked?.ok ? worked.output : null;
  return (
    <Card>
      <Text variant="soft">{t.holdTheOtherEndThe}</Text>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['reading', t.itShowsMm],
          ['at', t.readAtARadiusOf],
          ['pitch', t.pitchRadiusMm],
          ['helix', t.helix],
          ['least', t.allowedFromMm],
          ['most', t.allowedToMm],
        ]}
        onChange={set}
      />
      <ReadDial jobId={job.id} play={{}} onRead={(reading) => set({ reading })} />
      <Field label={shared.whoseFigureThatIs} value={draft.source} onChangeText={(source) => set({ source })} />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {found ? (
        <>
          <Text variant="strong" testID="backlash-found">
            {t.mmAtThePitchCircle(found.circumferentialMm.toFixed(3), found.normalMm.toFixed(3), found.degrees.toFixed(2))}
          </Text>
          <Text variant={found.verdict === 'within' ? 'body' : 'danger'}>{VERDICTS[found.verdict]}</Text>
          <Button
            label={shared.writeItDown}
            testID="backlash-set"
            onPress={() => onSet(t.backlashMmAtThePitch(found.circumferentialMm.toFixed(3)), draft.source.trim())}
          />
        </>
      ) : null}
    </Card>
  );
}
