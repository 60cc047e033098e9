import { methodSentence } from '@patient-badger/wording/readings';
import { t } from '@patient-badger/wording/gear';
import { worm, type GearCard, type GearState, type WormQuantity } from '@patient-badger/core';
import { useRecord } from '../../data/useRecord.ts';
import { Segments } from '../../design/Segments.tsx';
import { Problem } from '../../design/Problem.tsx';
import type { JobView } from '../../job/JobView.ts';
import { MeasuredCard } from '../MeasuredCard.tsx';
import { tellsApart } from '../NextReading.tsx';
import { shapeOf } from './wormShape.ts';
import { useIdentified } from '../useIdentified.ts';
import { WormDrawing } from './WormDrawing.tsx';
import { wormLine } from './line.ts';
import { WORM_WORDS } from './words.ts';
import { gearOn } from '../gearOn.ts';

/** A worm on the bench: which it was, and on to the parts that fit. */
export function WormCard({ view, card }: { view: JobView; card: GearCard }) {
  const gear = gearOn(view, card);
  const identified = useIdentified(worm, gear, { view, card });
  const advice = identified.data?.nextMeasurement;
  const advised = advice?.quantity as WormQuantity | undefined;
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
      beside={<Hand jobId={view.job.id} card={card} gear={gear} />}
      next={
        advice && advised
          ? { quantity: advised, name: WORM_WORDS[advised].name, how: methodSentence(advice), why: tellsApart(advice.expectedBits) }
          : null
      }
    />
  );
}

/** Which way its thread goes. */
function Hand({ jobId, card, gear }: { jobId: string; card: GearCard; gear: GearState }) {
  const { write, problem } = useRecord(jobId);
  return (
    <>
      <Segments
        label={t.handOfTheThread}
        options={[
          ['right', t.rightHandThread],
          ['left', t.leftHandThread],
        ]}
        value={gear.hand}
        onChange={(hand) => void write({ kind: 'handNoted', gear: card.id, hand })}
      />
      <Problem text={problem} />
    </>
  );
}
