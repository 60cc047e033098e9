import type { GearCard } from '@patient-badger/core/machine';
import { useLocalSearchParams } from 'expo-router';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { ScanPanel } from './ScanPanel.tsx';

/** Teeth counted on a photo of a gear; what the app saw wrongly is put right here, and kept. */
export function ScanScreen() {
  const { hash } = useLocalSearchParams<{ hash: string }>();
  return (
    <GearFrame stage="measure">{(view: JobView, card: GearCard) => <ScanPanel key={hash} view={view} card={card} hash={hash} />}</GearFrame>
  );
}
