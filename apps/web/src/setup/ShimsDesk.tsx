import { t } from '@patient-badger/wording/setup';
import { runOperation } from '../data/runOperation.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { Text } from '../design/Text.tsx';
import { typedNumbers } from '../design/typedNumber.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { readShims } from './readShims.ts';
import { draftOf, limitsOf, setupField, type DeskProps } from './DeskProps.ts';

const EMPTY = { float: '', least: '', most: '', source: '', shims: '' };

/** End float brought into its range by the shims at hand, fewest first. */
export function ShimsDesk({ view: { job }, row, onSet }: DeskProps) {
  const { draft, set } = useDeskDraft(draftOf('shims', row), { jobId: job.id, known: limitsOf(row), empty: EMPTY });
  const [float, least, most] = typedNumbers(draft.float, draft.least, draft.most);
  const shims = readShims(draft.shims);
  const ready = Number.isFinite(float) && Number.isFinite(least) && Number.isFinite(most) && shims !== null && shims.length > 0;
  const worked = ready
    ? runOperation('setup.shims', { floatMm: { value: float, plusMinus: 0.02 }, wanted: { minMm: least, maxMm: most }, shims })
    : null;
  const words = worked?.ok && worked.output.stack ? stackText(worked.output.stack) : null;
  return (
    <Card>
      <Figures
        testID={setupField}
        typed={draft}
        fields={[
          ['float', t.endFloatNowMm],
          ['least', t.wantedFromMm],
          ['most', t.wantedToMm],
        ]}
        onChange={set}
      />
      <Field
        label={t.shimsAtHandMmAnd}
        example="0.1x4, 0.2x2, 0.5"
        value={draft.shims}
        onChangeText={(text) => set({ shims: text })}
        problem={draft.shims.trim() !== '' && shims === null ? t.writeThemLike01x4 : undefined}
        testID="setup-shims"
      />
      <Field label={t.whoseFigureTheRangeIs} value={draft.source} onChangeText={(source) => set({ source })} />
      {worked && !worked.ok ? <Text variant="danger">{worked.sentence}</Text> : null}
      {worked?.ok && words === null ? <Text variant="danger">{t.noStackOfTheseBrings}</Text> : null}
      {worked?.ok && words !== null ? (
        <>
          <Text variant="strong" testID="shim-stack">
            {t.mmLeft(words, worked.output.leftMm.toFixed(3))}
          </Text>
          <Button
            variant="primary"
            label={t.theyAreIn}
            testID="shims-set"
            onPress={() => onSet(t.mmOfEndFloat(words, worked.output.leftMm.toFixed(2)), draft.source.trim())}
          />
        </>
      ) : null}
    </Card>
  );
}

const stackText = (stack: readonly { readonly thicknessMm: number; readonly count: number }[]) =>
  stack.length === 0 ? t.noShim : stack.map(({ thicknessMm, count }) => `${count} × ${thicknessMm} mm`).join(' + ');
