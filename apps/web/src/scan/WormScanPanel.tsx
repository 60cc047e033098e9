import { WORM_SCAN_REFUSALS } from '@patient-badger/wording/scanRefusals';
import { t as gearWords } from '@patient-badger/wording/gear';
import { t } from '@patient-badger/wording/scan';
import type { LengthUnit } from '@patient-badger/core';
import type { WormScanRead } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { lengthUnit } from '../preferences/preferences.ts';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { ReadingPanel } from './ReadingPanel.tsx';
import type { PhotoReading } from './readOnPhoto.ts';
import { withPlusMinus } from './scanWords.ts';
import { pitchOf, wormEntries } from './wormEntries.ts';

/** A worm read from its side: pitch, hand and starts. */
export function WormScanPanel({ view, card, hash }: { view: JobView; card: GearCard; hash: string }) {
  const unit = lengthUnit.use();
  const outside = view.state.gears[card.id]?.readings.tipDiameterMm?.at(-1)?.reading;
  return (
    <ReadingPanel
      view={view}
      card={card}
      hash={hash}
      reading={{
        what: 'worm',
        stages: [t.readingThePhoto, t.lookingForTheWorm, t.followingTheThreads],
        refusals: WORM_SCAN_REFUSALS,
        over: ({ from, to }) => ({ line: [from, to] }),
        lines: (found) => <WormLines found={found} outside={outside} unit={unit} />,
        entries: (found) => wormEntries({ gear: card.id, found, outside }),
      }}
    />
  );
}

function WormLines({ found, outside, unit }: { found: WormScanRead; outside: PhotoReading | undefined; unit: LengthUnit }) {
  const { pitchShare, threads, starts, hand, tipDiameterMm: tip } = found;
  const pitch = pitchOf(found, outside);
  return (
    <>
      <Text variant="title" testID="scan-worm">
        {pitch ? t.pitchIs(...withPlusMinus(pitch, unit)) : t.pitchOfOutside(pitchShare.value.toFixed(3), pitchShare.plusMinus.toFixed(3))}
      </Text>
      <Text>{t.threadsSeen(threads)}</Text>
      <Text>{HANDS[hand ?? 'unseen']}</Text>
      <Text>{starts === null ? t.startsNotSeen : t.startsSeen(starts)}</Text>
      {tip ? <Text>{t.overTheTips(...withPlusMinus(tip, unit))}</Text> : null}
      {pitch ? null : <Text variant="soft">{t.measureOverTipsFirst}</Text>}
    </>
  );
}

const HANDS = { right: gearWords.rightHandThread, left: gearWords.leftHandThread, unseen: t.handNotSeen } as const;
