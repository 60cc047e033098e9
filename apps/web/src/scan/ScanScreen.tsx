import type { GearCard } from '@patient-badger/core/machine';
import { useLocalSearchParams } from 'expo-router';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { ScanPanel } from './ScanPanel.tsx';
import { WormScanPanel } from './WormScanPanel.tsx';

/** A gear read on a photo: its teeth, or a worm from its side; what the app saw wrongly is put right here, and kept. */
export function ScanScreen() {
  const { hash } = useLocalSearchParams<{ hash: string }>();
  return (
    <GearFrame stage="measure">
      {(view: JobView, card: GearCard) =>
        card.type === 'worm' ? (
          <WormScanPanel key={hash} view={view} card={card} hash={hash} />
        ) : (
          <ScanPanel key={hash} view={view} card={card} hash={hash} />
        )
      }
    </GearFrame>
  );
}
