import { isMakeable } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/make';
import type { OperationOutput } from '@patient-badger/core';
import { fileOutput } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { runNamedInWorker } from '../data/runInWorker.ts';
import { saveBase64 } from '../data/saveFile.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { useDeskDraft } from '../preferences/deskDraft.ts';
import { MATERIAL_WORDS } from '../wording/materialWords.ts';
import { messageOf } from '../wording/messageOf.ts';
import { GearForm } from './GearForm.tsx';
import { makeQuestion, NO_GEAR, type TypedGear } from './makeQuestion.ts';
import { Preview } from './Preview.tsx';
import { useMeasuredGear } from './useMeasuredGear.ts';

/** A gear that nobody sells, drawn by what was measured, for a printer, a mill, a wire or a laser. */
export const MakeScreen = () => (
  <GearFrame stage="match">
    {(view, card) => (isMakeable(view.pack) ? <Making view={view} card={card} /> : <Never view={view} />)}
  </GearFrame>
);

const Never = ({ view: { pack } }: { view: JobView }) => (
  <Card tone="danger">
    <Text variant="danger" testID="never-made">
      {t.noGearOfThisIs}
    </Text>
    <Text>{t.somebodyCouldBeHurtThe(pack.name)}</Text>
  </Card>
);

const FORMATS = [
  ['3mf', '3MF'],
  ['stl', 'STL'],
  ['svg', 'SVG'],
  ['dxf', 'DXF'],
] as const;
const PIECES = [
  ['gear', t.theWholeGear],
  ['threeTeeth', t.threeTeethToTryIn],
  ['bore', t.theBoreToTryOn],
] as const;
type Outline = OperationOutput<'make.outline'>;

function Making({ view, card }: { view: JobView; card: GearCard }) {
  const { job, pack, state } = view;
  const { write, problem } = useRecord(job.id);
  const measured = useMeasuredGear(view, card);
  const { draft, set, isFilled } = useDeskDraft<TypedGear>(`make/${card.id}`, { jobId: job.id, known: measured.known, empty: NO_GEAR });
  const [piece, setPiece] = useState<(typeof PIECES)[number][0]>('gear');
  const [busy, setBusy] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const question = makeQuestion(draft);
  const asked = question && { gear: question.gear, bore: question.bore, allowance: question.allowance };
  const outline = useOutline(asked);
  const worn = useOutline(
    asked && measured.thinningMm > 0 ? { gear: { ...asked.gear, toothThinningMm: measured.thinningMm }, bore: { shape: 'none' } } : null,
  );
  const save = async (format: (typeof FORMATS)[number][0]) => {
    if (!question) return;
    setBusy(format);
    setFailed(null);
    try {
      const input = { ...question, piece, format };
      // The sums on this device know the families that ship; what a shop has of its own the server knows.
      const file = findFamily(pack.id)
        ? await runNamedInWorker<OperationOutput<'make.file'>>('make.file', { ...input, family: pack.id })
        : await call(`/api/jobs/${job.id}/make`, fileOutput, { json: input });
      saveBase64(file.name, file.type, file.base64);
      await write({ kind: 'gearMade', gear: card.id, file: file.name, material: MATERIAL_WORDS[draft.material] });
    } catch (error) {
      setFailed(messageOf(error));
    } finally {
      setBusy(null);
    }
  };
  return (
    <>
      <Text variant="title">{t.make(card.name)}</Text>
      {isFilled ? <Text variant="soft">{t.filledFromWhatWasMeasured}</Text> : null}
      {outline.data ? (
        <>
          <Preview
            label={t.outlineOfTeeth(draft.teeth)}
            outline={outline.data.outline}
            holes={outline.data.holes}
            worn={worn.data?.outline}
          />
          <Text variant="soft">
            {t.pointsNoFurtherThanM(
              outline.data.outline.length,
              (1000 * outline.data.deviationMm).toFixed(1),
              worn.data ? t.brokenLineTheWornOne : '',
            )}
          </Text>
        </>
      ) : null}
      {outline.error ? <Text variant="danger">{outline.error.message}</Text> : null}
      {question ? null : <Text>{t.teethModuleAndFaceWidth}</Text>}
      <GearForm typed={draft} onChange={set} />
      <Card tone="next">
        <Text variant="head">{t.theFile}</Text>
        {PIECES.map(([id, label]) => (
          <Button
            key={id}
            label={label}
            variant={piece === id ? 'chosen' : 'plain'}
            checked={piece === id}
            testID={`piece-${id}`}
            onPress={() => setPiece(id)}
          />
        ))}
        <View className="flex-row flex-wrap gap-2">
          {FORMATS.map(([format, label]) => (
            <Button
              key={format}
              className="grow"
              label={busy === format ? t.drawing : label}
              disabled={!question || busy !== null || outline.error !== null}
              testID={`save-${format}`}
              onPress={() => void save(format)}
            />
          ))}
        </View>
        <Text variant="soft">{t.n3MFAndStlAreBodies}</Text>
        <Problem text={failed ?? problem} />
        {state.made.some(({ gear }) => gear === card.id) ? <Text testID="made">{t.aFileWasWrittenFor}</Text> : null}
      </Card>
      <Text variant="soft">{t.aMadeGearIsA}</Text>
    </>
  );
}

const useOutline = (asked: object | null) =>
  useQuery({
    queryKey: ['make.outline', asked],
    queryFn: () => runNamedInWorker<Outline>('make.outline', asked),
    enabled: asked !== null,
    staleTime: Infinity,
    retry: false,
    meta: { local: true },
  });
