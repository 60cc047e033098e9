import { t } from '@patient-badger/wording/gear';
import { countOf, wormWheel, type GearCard, type GearState } from '@patient-badger/core';
import type { JobView } from '../../job/JobView.ts';
import { ArcsCard } from '../ArcsCard.tsx';
import { SizedCard } from '../SizedCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { wheelLine } from './line.ts';
import { WHEEL_WORDS } from './words.ts';
import { WormWheelDrawing } from './WormWheelDrawing.tsx';

const DRAWN_TEETH = 24;

/** A worm wheel, measured in its throat: which it was. */
export function WormWheelCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear: GearState = view.state.gears[card.id] ?? { readings: {} };
  const identified = useIdentified(wormWheel, gear, { view, card });
  const teeth = countOf(gear.readings.teeth);
  return (
    <SizedCard
      view={view}
      card={card}
      quantities={wormWheel.quantities}
      words={WHEEL_WORDS}
      heading={t.whichWheelItWas}
      begin={t.countTheTeethThenMeasure}
      identified={identified}
      line={wheelLine}
      label={t.drawingOfTheWormWheel}
      drawing={<WormWheelDrawing teeth={teeth ?? DRAWN_TEETH} />}
    >
      <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={teeth} />
    </SizedCard>
  );
}
