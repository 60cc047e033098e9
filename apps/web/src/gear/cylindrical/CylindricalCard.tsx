import { t } from '@patient-badger/wording/gear';
import { cylindrical, type CylindricalQuantity, type GearCard, type GearState } from '@patient-badger/core';
import { useState } from 'react';
import { lengthUnit } from '../../preferences/preferences.ts';
import { Text } from '../../design/Text.tsx';
import type { JobView } from '../../job/JobView.ts';
import { ArcsCard } from '../ArcsCard.tsx';
import { CardTools } from '../CardTools.tsx';
import { ByHand } from '../ByHand.tsx';
import { CandidateList } from '../CandidateList.tsx';
import { Disagreeing } from '../Disagreeing.tsx';
import { FindParts } from '../FindParts.tsx';
import { GearDrawing } from './GearDrawing.tsx';
import { gearShapeOf } from './gearShape.ts';
import { MateCard } from './MateCard.tsx';
import { MoreReadings } from '../MoreReadings.tsx';
import { Contradiction, NextReading } from '../NextReading.tsx';
import { PhotoCount } from '../../scan/PhotoCount.tsx';
import { wantedReading } from './wantedReading.ts';
import { ReadPad } from '../ReadPad.tsx';
import { readValues } from '../readValues.ts';
import { WearCard } from './WearCard.tsx';
import { useIdentified } from '../useIdentified.ts';
import { cylindricalLine } from './line.ts';
import { CYLINDRICAL_WORDS } from './words.ts';

const keyOf = cylindrical.identification.key;

/** A spur or helical gear on the bench, whole or broken: which it was, and on to the parts that fit. */
export function CylindricalCard({ view, card }: { view: JobView; card: GearCard }) {
  const unit = lengthUnit.use();
  const [asked, setAsked] = useState<{ quantity: CylindricalQuantity; over?: number } | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const gear: GearState = view.state.gears[card.id] ?? { readings: {} };
  const { data, error, isPlaceholderData: stale } = useIdentified(cylindrical, gear, { view, card });
  const candidates = data?.candidates ?? [];
  const picked = candidates.find((each) => keyOf(each) === pressed) ?? candidates[0];
  const next = error || stale ? null : wantedReading(card, gear, data);
  const values = readValues(gear, CYLINDRICAL_WORDS, unit);
  const sector = card.type === 'sector';
  const pick = (quantity: CylindricalQuantity) => setAsked({ quantity });

  return (
    <>
      <Text variant="title">{card.name}</Text>
      <GearDrawing shape={gearShapeOf(picked, gear)} values={values} advised={next?.quantity} sector={sector} onPick={pick} />
      {asked ? (
        <ReadPad
          view={view}
          card={card}
          quantity={asked.quantity}
          words={CYLINDRICAL_WORDS[asked.quantity]}
          over={asked.over}
          onClose={() => setAsked(null)}
        />
      ) : null}
      <MoreReadings
        quantities={sector ? ['centreDistanceMm'] : ['arcDeg', 'helixAngleDeg', 'centreDistanceMm']}
        values={values}
        words={CYLINDRICAL_WORDS}
        onPick={pick}
      />
      <PhotoCount view={view} card={card} />
      {next ? <NextReading {...next} onPress={() => setAsked(next)} /> : null}
      <Disagreeing readings={gear.readings} words={CYLINDRICAL_WORDS} />
      {stale && !error ? <Text variant="soft">{t.workingItOutAgain}</Text> : null}
      {error ? <Contradiction error={error} /> : null}
      <CandidateList
        heading={t.whichGearItWas}
        begin={sector ? t.layAProtractorOverAs : t.countTheTeethThenTap}
        lines={error ? undefined : data?.candidates.map((each) => cylindricalLine(each, unit))}
        noneOfThese={data?.noneOfTheseProbability}
        picked={picked && keyOf(picked)}
        onPick={setPressed}
      />
      {picked && !error ? <WearCard jobId={view.job.id} card={card} candidate={picked} gear={gear} /> : null}
      {picked && !error ? <MateCard candidate={picked} gear={gear} /> : null}
      <CardTools jobId={view.job.id} card={card} gear={gear} />
      {sector ? null : (
        <ArcsCard jobId={view.job.id} card={card} gear={gear} teeth={picked?.teeth ?? gear.readings.teeth?.at(-1)?.reading.value} />
      )}
      {picked && !error ? <FindParts jobId={view.job.id} gear={card.id} pick={keyOf(picked)} /> : null}
      <ByHand view={view} card={card} />
    </>
  );
}
