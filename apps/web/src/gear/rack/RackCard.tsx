import { t } from '@patient-badger/wording/gear';
import { rack, type RackQuantity } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { gearOn } from '../gearOn.ts';
import { WearBesideCard } from '../WearBesideCard.tsx';
import { SizedCard } from '../SizedCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { rackLine } from './line.ts';
import { RackDrawing } from './RackDrawing.tsx';
import { RACK_WORDS } from './words.ts';

const ADVISED: Readonly<Record<string, RackQuantity>> = {
  pitchMm: 'axialPitch',
  toothHeightMm: 'toothHeightMm',
  pressureAngleDeg: 'pressureAngleDeg',
};

const SPOTS = {
  teeth: [-55, -17],
  toothHeightMm: [-84, 0],
  axialPitch: [52, -17],
  pressureAngleDeg: [-24, 0],
  faceWidthMm: [24, 60],
} as const;

const ON_DRAWING = ['teeth', 'axialPitch', 'toothHeightMm', 'pressureAngleDeg', 'faceWidthMm'] as const;

/** A rack, measured along its teeth: which it was. */
export function RackCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(rack, gear, { view, card });
  return (
    <SizedCard
      view={view}
      card={card}
      words={RACK_WORDS}
      heading={t.whichRackItWas}
      begin={t.measureOverSeveralTeeth}
      identified={identified}
      line={rackLine}
      quantities={ON_DRAWING}
      label={t.drawingOfTheRack}
      spots={SPOTS}
      axis="none"
      picture={() => <RackDrawing />}
      advised={ADVISED}
      more={['tipWidthMm', 'freshTipWidthMm']}
      ofPicked={({ normalModuleMm }) => <WearBesideCard jobId={view.job.id} card={card} gear={gear} normalModuleMm={normalModuleMm} />}
    />
  );
}
