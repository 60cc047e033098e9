import type { GearCard } from '@patient-badger/core/machine';
import { useLocalSearchParams } from 'expo-router';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { ScanPanel } from './ScanPanel.tsx';
import { SectorScanPanel } from './SectorScanPanel.tsx';
import { WormScanPanel } from './WormScanPanel.tsx';

/** A gear read on a photo: its teeth, a worm from its side, a piece of a round; what the app saw wrongly is put right here, and kept. */
export function ScanScreen() {
  const { hash, piece } = useLocalSearchParams<{ hash: string; piece?: string }>();
  return (
    <GearFrame stage="measure">
      {(view: JobView, card: GearCard) => {
        const Panel = panelOf(card, piece !== undefined);
        return <Panel key={hash} view={view} card={card} hash={hash} />;
      }}
    </GearFrame>
  );
}

function panelOf({ type }: GearCard, isPiece: boolean) {
  if (type === 'worm') return WormScanPanel;
  return type === 'sector' || isPiece ? SectorScanPanel : ScanPanel;
}
