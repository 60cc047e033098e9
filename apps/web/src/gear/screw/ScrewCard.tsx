import { t } from '@patient-badger/wording/gear';
import { screw, type ScrewQuantity } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { gearOn } from '../gearOn.ts';
import { HandChoice } from '../HandChoice.tsx';
import { WearBesideCard } from '../WearBesideCard.tsx';
import { SizedCard } from '../SizedCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { screwLine } from './line.ts';
import { ScrewDrawing } from './ScrewDrawing.tsx';
import { SCREW_WORDS } from './words.ts';

const ADVISED: Readonly<Record<string, ScrewQuantity>> = {
  pitchMm: 'axialPitch',
  leadMm: 'travelMm',
  starts: 'starts',
  flankAngleDeg: 'pressureAngleDeg',
};

const SPOTS = {
  starts: [-81, -6],
  tipDiameterMm: [46, -26],
  axialPitch: [64, 26],
  travelMm: [-54, 40],
  pressureAngleDeg: [8, -26],
  faceWidthMm: [8, 24],
} as const;

const ON_DRAWING = ['starts', 'tipDiameterMm', 'axialPitch', 'travelMm', 'pressureAngleDeg', 'faceWidthMm'] as const;

/** A moving screw: which thread drives its nut. */
export function ScrewCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(screw, gear, { view, card });
  return (
    <SizedCard
      view={view}
      card={card}
      words={SCREW_WORDS}
      heading={t.whichScrewItWas}
      begin={t.measureOverSeveralThreads}
      identified={identified}
      line={screwLine}
      quantities={ON_DRAWING}
      label={t.drawingOfTheScrew}
      spots={SPOTS}
      axis="level"
      picture={() => <ScrewDrawing />}
      beside={<HandChoice jobId={view.job.id} card={card} gear={gear} />}
      advised={ADVISED}
      more={['tipWidthMm', 'freshTipWidthMm']}
      ofPicked={() => <WearBesideCard jobId={view.job.id} card={card} gear={gear} />}
    />
  );
}
