import { t } from '@patient-badger/wording/gear';
import { countOf, wormWheel, type GearCard } from '@patient-badger/core';
import type { JobView } from '../../job/JobView.ts';
import { ArcsCard } from '../ArcsCard.tsx';
import { MeasuredCard } from '../MeasuredCard.tsx';
import { SizedDrawing } from '../SizedDrawing.tsx';
import { useIdentified } from '../useIdentified.ts';
import { wheelLine } from './line.ts';
import { WHEEL_WORDS } from './words.ts';
import { WormWheelDrawing } from './WormWheelDrawing.tsx';
import { gearOn } from '../gearOn.ts';

const DRAWN_TEETH = 24;

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
      extra={({ gear }) => <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={countOf(gear.readings.teeth)} />}
    />
  );
}
