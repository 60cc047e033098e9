import { SCAN_REFUSALS } from '@patient-badger/wording/scanRefusals';
import { t } from '@patient-badger/wording/scan';
import { gearKindOf, type ScanRead } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { lengthUnit } from '../preferences/preferences.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { Stepper } from '../design/padKeys.tsx';

import type { JobView } from '../job/JobView.ts';
import { PutRight, type Laying } from './PutRight.tsx';
import { ScanProgress } from './ScanProgress.tsx';
import { ScanPhoto, SIGNS, withSpot, type Spot } from './ScanPhoto.tsx';
import { scanEntries } from './scanEntries.ts';
import { scanLines, sureness } from './scanWords.ts';
import type { ScanExtras } from './scan.worker.ts';
import { useScan } from './useScan.ts';

const STAGES = [t.readingThePhoto, t.lookingForTheGear, t.followingTheRim, t.countingTeeth];

/** Counting, stopping, putting right and keeping. */
export function ScanPanel({ view: { job, state, pack }, card, hash }: { view: JobView; card: GearCard; hash: string }) {
  const router = useRouter();
  const unit = lengthUnit.use();
  const { writeAll, problem } = useRecord(job.id);
  const kept = state.gears[card.id]?.scans?.find((each) => each.hash === hash);
  const [extras, setExtras] = useState<ScanExtras>({ scale: kept?.scale, correction: kept?.correction });
  const [laying, setLaying] = useState<Laying>('nothing');
  const [length, setLength] = useState<readonly Spot[]>(kept?.scale ? [kept.scale.from, kept.scale.to] : []);
  const { state: scan, address, count, stop } = useScan('teeth', hash, extras);
  const [last, setLast] = useState<{ width: number; height: number; found?: ScanRead | undefined } | null>(null);
  const now = scan.kind === 'done' ? { width: scan.width, height: scan.height, found: scan.scan.read ? scan.scan : undefined } : last;
  const found = now?.found;

  const run = (next: ScanExtras) => {
    setExtras(next);
    setLast(now);
    void count(next);
  };
  const again = (change: Partial<NonNullable<ScanExtras['correction']>> | null, scale = extras.scale) => {
    run({ ...extras, scale, correction: change && { ...extras.correction, ...change } } as ScanExtras);
  };
  const isCorrected = extras.correction !== undefined && Object.keys(extras.correction).length > 0;
  const lookAgain = () => {
    const next = { ...extras, correction: undefined };
    setExtras(next);
    void count(next);
  };
  const tap = (spot: Spot) => {
    if (laying === 'middle') again({ centre: spot, ...(found && { tipRadiusPx: found.tipRadiusPx }) });
    const centre = extras.correction?.centre ?? found?.centre;
    if (laying === 'rim' && centre) again({ centre, tipRadiusPx: Math.hypot(spot.xPx - centre.xPx, spot.yPx - centre.yPx) });
    if (laying === 'length') setLength((laid) => withSpot(laid, spot));
  };
  const keep = async () => {
    if (
      !found ||
      !(await writeAll(scanEntries({ gear: card.id, hash, found, kind: gearKindOf(card, pack.driveline) ?? undefined, ...extras })))
    )
      return;
    router.navigate(`/jobs/${job.id}/gear/${card.id}`);
  };

  return (
    <>
      <Text variant="title">{t.onAPhoto(card.name)}</Text>
      {address && now ? (
        <ScanPhoto
          address={address}
          width={now.width}
          height={now.height}
          over={found && { rim: found }}
          length={length}
          onTap={laying === 'nothing' ? undefined : tap}
        />
      ) : null}
      <ScanProgress scan={scan} stages={STAGES} onStop={stop} onAgain={() => void count(extras)} />
      {scan.kind === 'done' && !scan.scan.read ? (
        <Card tone="danger">
          <Text variant="danger">{t.thisPhotoCannotBeRead}</Text>
          <Text>{SCAN_REFUSALS[scan.scan.reason]}</Text>
          <Text>{t.orSayBelowWhereThe}</Text>
          {card.type === 'spur' || card.type === 'helical' ? (
            <Button label={t.itIsAPieceOfA} testID="scan-piece" onPress={() => router.setParams({ piece: 'yes' })} />
          ) : null}
        </Card>
      ) : null}
      {found && scan.kind === 'done' ? (
        <Card tone="next">
          <Text variant="title" testID="scan-teeth">
            {t.teeth(found.teeth)}
          </Text>
          {scanLines(found, unit).map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          {found.flaws.length > 0 ? <Text variant="soft">{t.missingShortOdd(SIGNS.missing, SIGNS.short, SIGNS.odd)}</Text> : null}
          <Text variant="soft">{sureness(found)}</Text>
          <Stepper ask={t.notSoYourCount} value={found.teeth} onChange={(teeth) => again({ teeth: Math.max(4, teeth) })} />
          <Button variant="primary" big label={t.keepTheCount} testID="keep-scan" onPress={() => void keep()} />
        </Card>
      ) : null}
      <Problem text={problem} />
      {scan.kind === 'done' ? (
        <PutRight
          laying={laying}
          onLaying={setLaying}
          length={length}
          onLength={(scale) => again(extras.correction ?? {}, scale)}
          known={extras.scale?.lengthMm}
          rim={found?.tipRadiusPx ?? extras.correction?.tipRadiusPx}
          onReference={(reference) => {
            setLength([]);
            run({ ...extras, scale: undefined, reference });
          }}
          onRim={(tipRadiusPx) => again({ tipRadiusPx, centre: extras.correction?.centre ?? found?.centre })}
          onReset={isCorrected ? lookAgain : undefined}
        />
      ) : null}
    </>
  );
}
