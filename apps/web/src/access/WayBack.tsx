import { t } from '@patient-badger/wording/access';
import { t as shared } from '@patient-badger/wording/shared';
import { jobLedger, piecesBack, piecesTogether } from '@patient-badger/core/job';
import { reassembly, type PutBack } from '@patient-badger/core/machine';
import Check from 'lucide-react-native/icons/check';
import Circle from 'lucide-react-native/icons/circle';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { useArrows } from '../design/useArrows.ts';
import { useKeys } from '../design/useKeys.ts';
import { minutesText } from '../wording/words.ts';
import type { JobView } from '../job/JobView.ts';
import { TakeBack } from '../log/TakeBack.tsx';
import { Cautions } from '../job/Cautions.tsx';
import { CaptureBack } from './CaptureBack.tsx';
import { withWords } from './putBackWords.ts';
import { useCaptures } from './useCaptures.ts';
import { useGate } from './useGate.ts';
import { WorkHead } from './WorkHead.tsx';
import { GoesBack, Tightening } from './GoesBack.tsx';

/** The way back, one piece at a time: the first that is not done lies open, any other can be opened by pressing it. */
export function WayBack({ view }: { view: JobView }) {
  const { pack, state } = view;
  const pieces = reassembly(pack, state.reached).map(withWords);
  const [pressed, setPressed] = useState<string | null>(null);
  const back = piecesBack(pack, state);
  const isDone = (id: string) => back.includes(id);
  const left = pieces.filter(({ id }) => !isDone(id));
  const open = left.find(({ id }) => id === pressed) ?? left[0];
  useArrows(left, open?.id, setPressed);
  return (
    <View className="gap-2">
      <Text variant="head">{t.theWayBackOfDone(pieces.length - left.length, pieces.length)}</Text>
      {pieces.map((piece) =>
        piece.id === open?.id ? (
          <Piece key={piece.id} view={view} piece={piece} later={piece === left[0] ? left.slice(1) : []} />
        ) : (
          <PieceLine key={piece.id} name={piece.name} done={isDone(piece.id)} onPress={() => setPressed(piece.id)} />
        ),
      )}
      <TakeBack view={view} kinds={['closingDone']} />
    </View>
  );
}

function Piece({ view, piece, later }: { view: JobView; piece: PutBack; later: readonly PutBack[] }) {
  const { job, pack, state } = view;
  const { writeAll, problem } = useRecord(job.id);
  const row = piecesTogether(pack, [piece, ...later], state);
  const captures = useCaptures(view, piece.closes).filter(({ toRestore }) => toRestore);
  const lines = jobLedger(pack, state).filter(({ step, onTray }) => piece.closes.includes(step) && onTray > 0);
  const [counting, setCounting] = useState(false);
  const [kept, setKept] = useState<Readonly<Record<string, number>>>({});
  const { cautions, waits, reasons } = useGate(view, {
    cautions: piece.cautions,
    before: pack.closing.filter(({ id }) => state.closingDone.includes(id)),
    besides: captures.some(({ restored }) => !restored) ? t.sayOfEachPositionThat : null,
  });
  const blocked = reasons.length > 0;
  const unrestored = captures.filter(({ restored }) => !restored);
  // Nothing but the positions is still to be said, and nobody can be hurt by one: the piece and its positions in a press that names both.
  const asItWas = unrestored.length > 0 && !pack.safetyCritical && reasons.every((reason) => reason === t.sayOfEachPositionThat);
  const done = (confirmed: typeof captures = []) => {
    const short = lines.flatMap(({ step, item }) => {
      const count = kept[`${step}/${item.id}`] ?? 0;
      return count > 0 ? [{ step, item: item.id, count }] : [];
    });
    void writeAll([
      ...confirmed.map(({ step, capture }) => ({ kind: 'captureConfirmed' as const, step, capture: capture.id, ok: true })),
      { kind: 'closingDone', step: piece.id, ...(short.length > 0 && { short }) },
    ]);
  };
  useKeys({ ' ': blocked ? undefined : () => done() });
  return (
    <Card tone="next">
      <WorkHead jobId={job.id} state={state} work={piece} takes={minutesText(piece.minutes)} waits={waits} />
      <Cautions jobId={job.id} state={state} cautions={cautions} />
      {captures.map((record) => (
        <CaptureBack key={`${record.step}/${record.capture.id}`} jobId={job.id} state={state} record={record} />
      ))}
      {lines.length > 0 ? <Text variant="label">{shared.goesBack}</Text> : null}
      {lines.map((line) => {
        const key = `${line.step}/${line.item.id}`;
        return (
          <GoesBack
            key={key}
            jobId={job.id}
            line={line}
            left={kept[key] ?? 0}
            asked={counting}
            onLeft={(count) => setKept({ ...kept, [key]: count })}
          />
        );
      })}
      {lines.length > 0 && !counting ? (
        <Button variant="quiet" label={t.somethingIsLeftOver} testID="left-over" onPress={() => setCounting(true)} />
      ) : null}
      {piece.tighten ? <Tightening tighten={piece.tighten} /> : null}
      {reasons.map((reason) => (
        <Text key={reason} variant="soft">
          {reason}
        </Text>
      ))}
      <Button variant="primary" big disabled={blocked} label={t.done(piece.name)} testID={`back-${piece.id}`} onPress={() => done()} />
      {asItWas ? (
        <Button label={t.doneAsItWas(piece.name, unrestored.length)} testID="piece-as-it-was" onPress={() => done(unrestored)} />
      ) : null}
      {row.length > 1 && Object.values(kept).every((count) => count === 0) ? (
        <Button
          disabled={blocked}
          label={t.doneUpTo(row.length, row.at(-1)?.name ?? '')}
          testID="pieces-done"
          onPress={() => void writeAll(row.map(({ id }) => ({ kind: 'closingDone' as const, step: id })))}
        />
      ) : null}
      <Problem text={problem} />
    </Card>
  );
}

function PieceLine({ name, done, onPress }: { name: string; done: boolean; onPress: () => void }) {
  const colours = useColours();
  return (
    <Pressable
      role="button"
      aria-label={done ? t.doneWithName(name) : name}
      disabled={done}
      onPress={onPress}
      className="min-h-[48px] flex-row items-center gap-3 border-b border-line px-2"
    >
      {done ? <Check color={colours.good} size={22} /> : <Circle color={colours.soft} size={22} />}
      <Text className="flex-1">{name}</Text>
    </Pressable>
  );
}
