import { t } from '@patient-badger/wording/scan';
import type { ScanReference } from '@patient-badger/core/gear';
import type { EntryPayload } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PutRight, type Laying } from './PutRight.tsx';
import { ScanProgress } from './ScanProgress.tsx';
import { ScanPhoto, withSpot, type Over, type Spot } from './ScanPhoto.tsx';
import type { ScanExtras } from './scan.worker.ts';
import { useScan, type Readers } from './useScan.ts';

type Read<What extends keyof Readers> = Extract<Readers[What], { readonly read: true }>;
type Reason<What extends keyof Readers> = Extract<Readers[What], { readonly read: false }>['reason'];

/** How one kind of thing is read off a photo. */
export interface Reading<What extends keyof Readers> {
  readonly what: What;
  readonly stages: readonly string[];
  readonly refusals: Readonly<Record<Reason<What>, string>>;
  /** What is drawn over the photo. */
  readonly over: (found: Read<What>) => Over;
  readonly lines: (found: Read<What>) => ReactNode;
  readonly entries: (found: Read<What>) => readonly EntryPayload[];
  /** Whether something of a known size is looked for beside it. */
  readonly isBeside?: boolean;
}

interface Props<What extends keyof Readers> {
  readonly view: JobView;
  readonly card: GearCard;
  readonly hash: string;
  readonly reading: Reading<What>;
}

/** Something read off a photo, with a known length in millimetres; kept as readings of its card. */
export function ReadingPanel<What extends 'worm' | 'sector'>({ view: { job }, card, hash, reading }: Props<What>) {
  const router = useRouter();
  const { writeAll, problem } = useRecord(job.id);
  const [extras, setExtras] = useState<ScanExtras>({});
  const [laying, setLaying] = useState<Laying>('nothing');
  const [length, setLength] = useState<readonly Spot[]>([]);
  const { state: scan, address, count, stop } = useScan(reading.what, hash, extras);
  const [last, setLast] = useState<{ width: number; height: number } | null>(null);
  const now = scan.kind === 'done' ? scan : last;
  const answer = scan.kind === 'done' ? scan.scan : undefined;
  const found = answer?.read ? (answer as Read<What>) : undefined;

  const again = (next: ScanExtras) => {
    setExtras(next);
    setLast(now);
    void count(next);
  };
  const keep = async () => {
    if (!found || !(await writeAll(reading.entries(found)))) return;
    router.navigate(`/jobs/${job.id}/gear/${card.id}`);
  };
  const beside = (reference: ScanReference) => {
    setLength([]);
    again({ reference });
  };
  const tap = (spot: Spot) => setLength((laid) => withSpot(laid, spot));
  return (
    <>
      <Text variant="title">{t.onAPhoto(card.name)}</Text>
      {address && now ? (
        <ScanPhoto
          address={address}
          width={now.width}
          height={now.height}
          over={found && reading.over(found)}
          length={length}
          onTap={laying === 'length' ? tap : undefined}
        />
      ) : null}
      <ScanProgress scan={scan} stages={reading.stages} onStop={stop} onAgain={() => void count(extras)} />
      {answer?.read === false ? (
        <Card tone="danger">
          <Text variant="danger">{t.thisPhotoCannotBeRead}</Text>
          <Text>{reading.refusals[answer.reason as Reason<What>]}</Text>
        </Card>
      ) : null}
      {found ? (
        <Card tone="next">
          {reading.lines(found)}
          <Button variant="primary" big label={t.keepWhatWasRead} testID="keep-scan" onPress={() => void keep()} />
        </Card>
      ) : null}
      <Problem text={problem} />
      {scan.kind === 'done' ? (
        <PutRight
          laying={laying}
          onLaying={setLaying}
          length={length}
          onLength={(scale) => again({ scale })}
          known={extras.scale?.lengthMm}
          onReference={reading.isBeside ? beside : undefined}
        />
      ) : null}
    </>
  );
}
