import { t } from '@patient-badger/wording/gear';
import { worm, type WormQuantity } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { MeasuredCard } from '../MeasuredCard.tsx';
import { advisedReading } from '../advised.ts';
import { HandChoice } from '../HandChoice.tsx';
import { shapeOf } from './wormShape.ts';
import { useIdentified } from '../useIdentified.ts';
import { WormDrawing } from './WormDrawing.tsx';
import { wormLine } from './line.ts';
import { WORM_WORDS } from './words.ts';
import { gearOn } from '../gearOn.ts';

/** The operation names what is read as the card does. */
const ADVISED: Readonly<Record<string, WormQuantity>> = Object.fromEntries(worm.quantities.map((quantity) => [quantity, quantity]));

/** A worm on the bench: which it was, and on to the parts that fit. */
export function WormCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(worm, gear, { view, card });
  return (
    <MeasuredCard
      view={view}
      card={card}
      words={WORM_WORDS}
      heading={t.whichWormItWas}
      begin={t.tapADimensionOnThe}
      identified={identified}
      line={wormLine}
      drawing={({ picked, values, advised: next, onPick }) => (
        <WormDrawing shape={shapeOf(picked, gear)} values={values} advised={next} onPick={onPick} />
      )}
      more={['leadAngleDeg', 'centreDistanceMm']}
      caliper={view.machine?.instruments}
      beside={
        <>
          <PhotoCount view={view} card={card} />
          <HandChoice jobId={view.job.id} card={card} gear={gear} />
        </>
      }
      next={advisedReading(identified.data?.nextMeasurement, ADVISED, WORM_WORDS)}
    />
  );
}
