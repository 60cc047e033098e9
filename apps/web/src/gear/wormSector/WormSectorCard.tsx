import { t } from '@patient-badger/wording/gear';
import { countOf, fullTeethOf, wormSector, type WormSectorQuantity } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import { Text } from '../../design/Text.tsx';
import type { JobView } from '../../job/JobView.ts';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { ArcsCard } from '../ArcsCard.tsx';
import { gearOn } from '../gearOn.ts';
import { SizedCard } from '../SizedCard.tsx';
import { WearBesideCard } from '../WearBesideCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { wheelLine } from '../wormWheel/line.ts';
import { WORM_SECTOR_WORDS } from './words.ts';
import { WormSectorDrawing } from './WormSectorDrawing.tsx';

const DRAWN_TEETH = 14;
const ADVISED: Readonly<Record<string, WormSectorQuantity>> = { rimPitchMm: 'axialPitch', toothHeightMm: 'toothHeightMm' };

const ON_DRAWING = ['teeth', 'arcDeg', 'toothHeightMm', 'axialPitch', 'boreDiameterMm', 'faceWidthMm'] as const;

const SPOTS = {
  teeth: [-47, -54],
  arcDeg: [47, -54],
  toothHeightMm: [-74, -28],
  axialPitch: [68, -42],
  boreDiameterMm: [-8, 66],
  faceWidthMm: [26, 24],
} as const;

/** A sector that a worm drives: the wheel that it is a piece of, the arc that has worked and what is left fresh. */
export function WormSectorCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(wormSector, gear, { view, card });
  const teeth = countOf(gear.readings.teeth);
  const full = fullTeethOf(gear);
  return (
    <SizedCard
      view={view}
      card={card}
      words={WORM_SECTOR_WORDS}
      heading={t.whichWheelItIsAPieceOf}
      begin={t.countTeethOverAnArc}
      identified={identified}
      line={wheelLine}
      quantities={ON_DRAWING}
      label={t.drawingOfTheSector}
      spots={SPOTS}
      picture={() => <WormSectorDrawing teeth={teeth ?? DRAWN_TEETH} />}
      more={['leadAngleDeg', 'tipWidthMm', 'freshTipWidthMm']}
      ofPicked={({ axialModuleMm }) => <WearBesideCard jobId={view.job.id} card={card} gear={gear} normalModuleMm={axialModuleMm} />}
      advised={ADVISED}
      beside={
        <>
          {full === null ? null : <Text variant="soft">{t.aWholeRoundWouldHave(full)}</Text>}
          <PhotoCount view={view} card={card} />
        </>
      }
      extra={() => (full === null ? null : <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={teeth} sectorOf={full} />)}
    />
  );
}
