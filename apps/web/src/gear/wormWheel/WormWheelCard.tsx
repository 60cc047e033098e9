import { t } from '@patient-badger/wording/gear';
import { countOf, wormWheel, type GearCard, type WormWheelQuantity } from '@patient-badger/core';
import type { JobView } from '../../job/JobView.ts';
import { ArcsCard } from '../ArcsCard.tsx';
import { advisedReading } from '../advised.ts';
import { MeasuredCard } from '../MeasuredCard.tsx';
import { SizedDrawing } from '../SizedDrawing.tsx';
import { useIdentified } from '../useIdentified.ts';
import { wheelLine } from './line.ts';
import { WHEEL_WORDS } from './words.ts';
import { WormWheelDrawing } from './WormWheelDrawing.tsx';
import { gearOn } from '../gearOn.ts';

const DRAWN_TEETH = 24;
const ADVISED: Readonly<Record<string, WormWheelQuantity>> = { throatDiameterMm: 'tipDiameterMm', toothHeightMm: 'toothHeightMm' };

/** A worm wheel, measured in its throat: which it was. */
export function WormWheelCard({ view, card }: { view: JobView; card: GearCard }) {
  const identified = useIdentified(wormWheel, gearOn(view, card), { view, card });
  return (
    <MeasuredCard
      view={view}
      card={card}
      words={WHEEL_WORDS}
      heading={t.whichWheelItWas}
      begin={t.countTheTeethThenMeasure}
      identified={identified}
      line={wheelLine}
      drawing={({ gear, values, advised, onPick }) => (
        <SizedDrawing
          quantities={wormWheel.quantities}
          words={WHEEL_WORDS}
          label={t.drawingOfTheWormWheel}
          {...{ values, advised, onPick }}
        >
          <WormWheelDrawing teeth={countOf(gear.readings.teeth) ?? DRAWN_TEETH} />
        </SizedDrawing>
      )}
      next={advisedReading(identified.data?.nextMeasurement, ADVISED, WHEEL_WORDS)}
      extra={({ gear }) => <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={countOf(gear.readings.teeth)} />}
    />
  );
}
