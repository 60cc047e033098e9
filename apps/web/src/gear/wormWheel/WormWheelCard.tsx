import { t } from '@patient-badger/wording/gear';
import { countOf, wormWheel, type WormWheelQuantity } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { ArcsCard } from '../ArcsCard.tsx';
import { SizedCard } from '../SizedCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { wheelLine } from './line.ts';
import { WHEEL_WORDS } from './words.ts';
import { WormWheelDrawing } from './WormWheelDrawing.tsx';
import { gearOn } from '../gearOn.ts';

const DRAWN_TEETH = 24;
/** The others are taken from the list below. */
const ON_DRAWING = ['teeth', 'tipDiameterMm', 'toothHeightMm', 'boreDiameterMm', 'faceWidthMm'] as const;
const ADVISED: Readonly<Record<string, WormWheelQuantity>> = { throatDiameterMm: 'tipDiameterMm', toothHeightMm: 'toothHeightMm' };

/** A worm wheel, measured in its throat: which it was. */
export function WormWheelCard({ view, card }: { view: JobView; card: GearCard }) {
  const identified = useIdentified(wormWheel, gearOn(view, card), { view, card });
  return (
    <SizedCard
      view={view}
      card={card}
      words={WHEEL_WORDS}
      heading={t.whichWheelItWas}
      begin={t.countTheTeethThenMeasure}
      identified={identified}
      line={wheelLine}
      quantities={ON_DRAWING}
      label={t.drawingOfTheWormWheel}
      picture={(gear) => <WormWheelDrawing teeth={countOf(gear.readings.teeth) ?? DRAWN_TEETH} />}
      more={['outsideDiameterMm', 'throatRadiusMm', 'faceAngleDeg']}
      advised={ADVISED}
      beside={<PhotoCount view={view} card={card} />}
      extra={({ gear }) => <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={countOf(gear.readings.teeth)} />}
    />
  );
}
