import { methodSentence } from '@patient-badger/wording/readings';
import { t } from '@patient-badger/wording/gear';
import { worm, type GearCard, type GearState, type WormQuantity } from '@patient-badger/core';
import { useState } from 'react';
import { lengthUnit } from '../../preferences/preferences.ts';
import { useRecord } from '../../data/useRecord.ts';
import { Segments } from '../../design/Segments.tsx';
import { Problem } from '../../design/Problem.tsx';
import { Text } from '../../design/Text.tsx';
import type { JobView } from '../../job/JobView.ts';
import { CardTools } from '../CardTools.tsx';
import { CandidateList } from '../CandidateList.tsx';
import { Disagreeing } from '../Disagreeing.tsx';
import { FindParts } from '../FindParts.tsx';
import { MoreReadings } from '../MoreReadings.tsx';
import { Contradiction, NextReading, tellsApart } from '../NextReading.tsx';
import { ReadPad } from '../ReadPad.tsx';
import { readValues } from '../readValues.ts';
import { shapeOf } from './wormShape.ts';
import { useIdentified } from '../useIdentified.ts';
import { WormDrawing } from './WormDrawing.tsx';
import { wormLine } from './line.ts';
import { WORM_WORDS } from './words.ts';

const keyOf = worm.identification.key;

/** A worm on the bench: which it was, and on to the parts that fit. */
export function WormCard({ view, card }: { view: JobView; card: GearCard }) {
  const { job, state, machine } = view;
  const unit = lengthUnit.use();
  const { write, problem } = useRecord(job.id);
  const [quantity, setQuantity] = useState<WormQuantity | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const gear: GearState = state.gears[card.id] ?? { readings: {} };
  const { data, error } = useIdentified(worm, gear, { view, card });
  const candidates = data?.candidates ?? [];
  const picked = candidates.find((each) => keyOf(each) === pressed) ?? candidates[0];
  const advice = data?.nextMeasurement;
  const advised = advice?.quantity as WormQuantity | undefined;
  const values = readValues(gear, WORM_WORDS, unit);

  return (
    <>
      <Text variant="title">{card.name}</Text>
      <WormDrawing shape={shapeOf(picked, gear)} values={values} advised={advised} onPick={setQuantity} />
      {quantity ? (
        <ReadPad
          view={view}
          card={card}
          quantity={quantity}
          words={WORM_WORDS[quantity]}
          caliper={machine?.instruments}
          onClose={() => setQuantity(null)}
        />
      ) : null}
      <MoreReadings quantities={['leadAngleDeg', 'centreDistanceMm']} values={values} words={WORM_WORDS} onPick={setQuantity} />
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
      {advice && advised ? (
        <NextReading
          name={WORM_WORDS[advised].name}
          how={methodSentence(advice)}
          why={tellsApart(advice.expectedBits)}
          onPress={() => setQuantity(advised)}
        />
      ) : null}
      <Disagreeing readings={gear.readings} words={WORM_WORDS} />
      {error ? <Contradiction error={error} /> : null}
      <CandidateList
        heading={t.whichWormItWas}
        begin={t.tapADimensionOnThe}
        lines={error ? undefined : data?.candidates.map((each) => wormLine(each, unit))}
        noneOfThese={data?.noneOfTheseProbability}
        picked={picked && keyOf(picked)}
        onPick={setPressed}
      />
      <CardTools jobId={job.id} card={card} gear={gear} />
      {picked && !error ? <FindParts jobId={job.id} gear={card.id} pick={keyOf(picked)} /> : null}
    </>
  );
}
