import { t } from '@patient-badger/wording/gear';
import { cylindrical } from '@patient-badger/core/gear';
import type { GearCard } from '@patient-badger/core/machine';
import type { JobView } from '../../job/JobView.ts';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { ArcsCard } from '../ArcsCard.tsx';
import { MeasuredCard } from '../MeasuredCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { GearDrawing } from './GearDrawing.tsx';
import { gearShapeOf } from './gearShape.ts';
import { cylindricalLine } from './line.ts';
import { MateCard } from './MateCard.tsx';
import { wantedReading } from './wantedReading.ts';
import { WearCard } from './WearCard.tsx';
import { CYLINDRICAL_WORDS } from './words.ts';
import { gearOn } from '../gearOn.ts';

/** A spur or helical gear on the bench, whole or broken: which it was, and on to the parts that fit. */
export function CylindricalCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(cylindrical, gear, { view, card });
  const isSector = card.type === 'sector';
  return (
    <MeasuredCard
      view={view}
      card={card}
      words={CYLINDRICAL_WORDS}
      heading={t.whichGearItWas}
      begin={isSector ? t.layAProtractorOverAs : t.countTheTeethThenTap}
      identified={identified}
      line={cylindricalLine}
      drawing={({ picked, values, advised, onPick }) => (
        <GearDrawing shape={gearShapeOf(picked, gear)} values={values} advised={advised} sector={isSector} onPick={onPick} />
      )}
      more={isSector ? ['centreDistanceMm'] : ['arcDeg', 'helixAngleDeg', 'centreDistanceMm']}
      beside={<PhotoCount view={view} card={card} />}
      next={wantedReading(card, gear, identified.data)}
      ofPicked={(picked) => (
        <>
          <WearCard jobId={view.job.id} card={card} candidate={picked} gear={gear} />
          <MateCard candidate={picked} gear={gear} />
        </>
      )}
      extra={({ picked }) =>
        isSector ? null : (
          <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={picked?.teeth ?? gear.readings.teeth?.at(-1)?.reading.value} />
        )
      }
    />
  );
}
