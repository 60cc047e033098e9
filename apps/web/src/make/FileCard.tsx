import { t } from '@patient-badger/wording/make';
import type { OperationOutput } from '@patient-badger/core';
import { fileOutput } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { findFamily } from '@patient-badger/knowledge';
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
import type { JobView } from '../job/JobView.ts';
import { MATERIAL_WORDS } from '../wording/materialWords.ts';
import { messageOf } from '../wording/messageOf.ts';
import type { MakeInput, TypedGear } from './makeQuestion.ts';

const BODIES = [
  ['3mf', '3MF'],
  ['stl', 'STL'],
] as const;
const DRAWINGS = [
  ['svg', 'SVG'],
  ['dxf', 'DXF'],
] as const;
const PIECES = [
  ['gear', t.theWholeGear],
  ['threeTeeth', t.threeTeethToTryIn],
  ['seat', t.theBoreToTryOn],
] as const;

interface Props {
  readonly view: JobView;
  readonly card: GearCard;
  readonly question: MakeInput | null;
  /** It sits on a shaft: its seat can be tried. */
  readonly hasSeat?: boolean;
  /** It can be drawn on a plane. */
  readonly isFlat: boolean;
  /** It would not run as it stands, or cannot be drawn. */
  readonly blocked: boolean;
  readonly material: TypedGear['material'];
}

/** The file for the machine: the whole gear, or a try of it first. */
export function FileCard({ view, card, question, isFlat, hasSeat = true, blocked, material }: Props) {
  const { job, pack, state } = view;
  const { write, problem } = useRecord(job.id);
  const [piece, setPiece] = useState<(typeof PIECES)[number][0]>('gear');
  const [busy, setBusy] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const formats = isFlat ? [...BODIES, ...DRAWINGS] : BODIES;
  const save = async (format: (typeof formats)[number][0]) => {
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
      await write({ kind: 'gearMade', gear: card.id, file: file.name, material: MATERIAL_WORDS[material] });
    } catch (error) {
      setFailed(messageOf(error));
    } finally {
      setBusy(null);
    }
  };
  return (
    <Card tone="next">
      <Text variant="head">{t.theFile}</Text>
      {PIECES.filter(([id]) => hasSeat || id !== 'seat').map(([id, label]) => (
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
        {formats.map(([format, label]) => (
          <Button
            key={format}
            className="grow"
            label={busy === format ? t.drawing : label}
            disabled={!question || busy !== null || blocked}
            testID={`save-${format}`}
            onPress={() => void save(format)}
          />
        ))}
      </View>
      <Text variant="soft">{isFlat ? t.n3MFAndStlAreBodies : t.bodiesAlone}</Text>
      <Problem text={failed ?? problem} />
      {state.made.some(({ gear }) => gear === card.id) ? <Text testID="made">{t.aFileWasWrittenFor}</Text> : null}
    </Card>
  );
}
