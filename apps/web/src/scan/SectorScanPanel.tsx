import { SECTOR_SCAN_REFUSALS } from '@patient-badger/wording/scanRefusals';
import { t } from '@patient-badger/wording/scan';
import { gearKindOf, type SectorScanRead } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { lengthUnit } from '../preferences/preferences.ts';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { ReadingPanel } from './ReadingPanel.tsx';
import { besideLines, withPlusMinus } from './scanWords.ts';
import { sectorEntries } from './sectorEntries.ts';

/** A sector, a quadrant or a piece of a rim: its teeth and the arc that they go over. */
export function SectorScanPanel({ view, card, hash }: { view: JobView; card: GearCard; hash: string }) {
  return (
    <ReadingPanel
      view={view}
      card={card}
      hash={hash}
      reading={{
        what: 'sector',
        stages: [t.readingThePhoto, t.lookingForTheRim, t.countingTeeth],
        refusals: SECTOR_SCAN_REFUSALS,
        over: (found) => ({ arc: found }),
        lines: (found) => <SectorLines found={found} />,
        entries: (found) => sectorEntries({ gear: card.id, kind: gearKindOf(card, view.pack.driveline)?.id, found }),
        isBeside: true,
      }}
    />
  );
}

function SectorLines({ found: { teeth, teethPresent, arcDeg, tipDiameterMm: tip, referenceFound } }: { found: SectorScanRead }) {
  const unit = lengthUnit.use();
  return (
    <>
      <Text variant="title" testID="scan-sector">
        {t.teethOverAnArc(teeth, arcDeg.value.toFixed(1), arcDeg.plusMinus.toFixed(1))}
      </Text>
      <Text>{t.fromMiddleToMiddle}</Text>
      {teethPresent < teeth ? <Text>{t.teethGone(teeth - teethPresent)}</Text> : null}
      {tip ? <Text>{t.overTheTips(...withPlusMinus(tip, unit))}</Text> : null}
      {besideLines(referenceFound).map((line) => (
        <Text key={line} variant="soft">
          {line}
        </Text>
      ))}
    </>
  );
}
