import { WORM_SCAN_REFUSALS } from '@patient-badger/wording/scanRefusals';
import { t as gearWords } from '@patient-badger/wording/gear';
import { t } from '@patient-badger/wording/scan';
import { formatLength, type LengthUnit } from '@patient-badger/core';
import type { WormScanRead } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { lengthUnit } from '../preferences/preferences.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PutRight, type Laying } from './PutRight.tsx';
import { ScanProgress } from './ScanProgress.tsx';
import { ScanPhoto, type Spot } from './ScanPhoto.tsx';
import type { ScanExtras } from './scan.worker.ts';
import { useScan } from './useScan.ts';
import type { PhotoReading } from './readOnPhoto.ts';
import { pitchOf, wormEntries } from './wormEntries.ts';

const STAGES = [t.readingThePhoto, t.lookingForTheWorm, t.followingTheThreads];

/** A worm read from its side: pitch, hand and starts, with a known length in millimetres; kept as readings of its card. */
export function WormScanPanel({ view: { job, state }, card, hash }: { view: JobView; card: GearCard; hash: string }) {
  const router = useRouter();
  const unit = lengthUnit.use();
  const { writeAll, problem } = useRecord(job.id);
  const [extras, setExtras] = useState<ScanExtras>({});
  const [laying, setLaying] = useState<Laying>('nothing');
  const [length, setLength] = useState<readonly Spot[]>([]);
  const { state: scan, address, count, stop } = useScan('worm', hash, extras);
  const [last, setLast] = useState<{ width: number; height: number } | null>(null);
  const now = scan.kind === 'done' ? scan : last;
  const found = scan.kind === 'done' && scan.scan.read ? scan.scan : undefined;
  const outside = state.gears[card.id]?.readings.tipDiameterMm?.at(-1)?.reading;

  const again = (next: ScanExtras) => {
    setExtras(next);
    setLast(now);
    void count(next);
  };
  const keep = async () => {
    if (!found || !(await writeAll(wormEntries({ gear: card.id, found, outside })))) return;
    router.navigate(`/jobs/${job.id}/gear/${card.id}`);
  };
  const tap = (spot: Spot) => setLength(length.length === 2 ? [spot] : [...length, spot]);
  return (
    <>
      <Text variant="title">{t.onAPhoto(card.name)}</Text>
      {address && now ? (
        <ScanPhoto
          address={address}
          width={now.width}
          height={now.height}
          axis={found && [found.from, found.to]}
          length={length}
          onTap={laying === 'length' ? tap : undefined}
        />
      ) : null}
      <ScanProgress scan={scan} stages={STAGES} onStop={stop} onAgain={() => void count(extras)} />
      {scan.kind === 'done' && !scan.scan.read ? (
        <Card tone="danger">
          <Text variant="danger">{t.thisPhotoCannotBeRead}</Text>
          <Text>{WORM_SCAN_REFUSALS[scan.scan.reason]}</Text>
        </Card>
      ) : null}
      {found ? (
        <Card tone="next">
          <WormLines found={found} outside={outside} unit={unit} />
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
        />
      ) : null}
    </>
  );
}

function WormLines({ found, outside, unit }: { found: WormScanRead; outside: PhotoReading | undefined; unit: LengthUnit }) {
  const { pitchShare, threads, starts, hand, tipDiameterMm: tip } = found;
  const pitch = pitchOf(found, outside);
  const of = ({ value, plusMinus }: PhotoReading) => [formatLength(value, unit), formatLength(plusMinus, unit)] as const;
  return (
    <>
      <Text variant="title" testID="scan-worm">
        {pitch ? t.pitchIs(...of(pitch)) : t.pitchOfOutside(pitchShare.value.toFixed(3), pitchShare.plusMinus.toFixed(3))}
      </Text>
      <Text>{t.threadsSeen(threads)}</Text>
      <Text>{hand === 'right' ? gearWords.rightHandThread : gearWords.leftHandThread}</Text>
      <Text>{starts === null ? t.startsNotSeen : t.startsSeen(starts)}</Text>
      {tip ? <Text>{t.overTheTips(...of(tip))}</Text> : null}
      {pitch ? null : <Text variant="soft">{t.measureOverTipsFirst}</Text>}
    </>
  );
}
