import { formatLength, type GearCard, type GearState, type WormQuantity } from '@patient-badger/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { lengthUnit } from '../data/settings.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Overlay } from '../design/Overlay.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { instrumentOn } from '../instrument/instruments.ts';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { CandidateList } from './CandidateList.tsx';
import { candidateKey } from './candidateKey.ts';
import { hasCard } from './hasCard.ts';
import { NoCardYet } from './NoCardYet.tsx';
import { Pad } from './Pad.tsx';
import { WORM_WORDS } from './quantities.ts';
import { shapeOf } from './shapeOf.ts';
import { useIdentification } from './useIdentification.ts';
import { WormDrawing } from './WormDrawing.tsx';

/** The gear card: dimensions tapped on the drawing, candidates that change as they are read. */
export const GearScreen = () => (
  <GearFrame stage="measure">
    {(view, card) => (hasCard(view.pack, card.id) ? <Measuring view={view} card={card} /> : <NoCardYet view={view} card={card} />)}
  </GearFrame>
);

const NAMES = Object.fromEntries(Object.entries(WORM_WORDS).map(([id, { short }]) => [id, short])) as Record<WormQuantity, string>;

function Measuring({ view: { job, state, machine }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const [quantity, setQuantity] = useState<WormQuantity | null>(null);
  const [pressed, setPressed] = useState<string | null>(null);
  const gear: GearState = state.gears[card.id] ?? { readings: {} };
  const found = useIdentification(gear);
  const candidates = found.data?.candidates ?? [];
  const picked = candidates.find((each) => candidateKey(each) === pressed) ?? candidates[0];
  const advice = found.data?.nextMeasurement;
  const values = useReadValues(gear);

  return (
    <>
      <Text look="title">{card.name}</Text>
      <WormDrawing shape={shapeOf(picked, gear)} values={values} names={NAMES} advised={advice?.quantity} onPick={setQuantity} />
      {quantity ? (
        <Overlay>
          <Pad
            key={quantity}
            quantity={quantity}
            last={gear.readings[quantity]?.at(-1)?.entered}
            onClose={() => setQuantity(null)}
            caliper={machine?.instruments ? (unit) => instrumentOn(job.id, 'caliper').read({ gear: card.id, quantity, unit }) : undefined}
            onKeep={(entered) => {
              void write({ kind: 'dimensionRead', gear: card.id, quantity, ...entered });
              setQuantity(null);
            }}
          />
        </Overlay>
      ) : null}
      <More gear={gear} values={values} onPick={setQuantity} onHand={(hand) => void write({ kind: 'handNoted', gear: card.id, hand })} />
      {problem ? <Text look="danger">{problem}</Text> : null}
      {advice ? (
        <Card tone="next">
          <Text look="label">Measure this next</Text>
          <Text look="head">{WORM_WORDS[advice.quantity as WormQuantity].name}</Text>
          <Text>{advice.how}</Text>
          <Text look="soft">It tells the candidates apart best: {advice.expectedBits.toFixed(1)} bits expected.</Text>
          <Button label="Measure it" onPress={() => setQuantity(advice.quantity as WormQuantity)} />
        </Card>
      ) : null}
      {found.error ? (
        <Card tone="danger">
          <Text look="danger">{found.error.message}</Text>
          <Text>The readings are kept. Take the wrong one back in the log, or measure again.</Text>
        </Card>
      ) : null}
      <CandidateList identification={found.error ? undefined : found.data} picked={picked} onPick={setPressed} />
      {picked && !found.error ? (
        <Button
          look="primary"
          big
          label="Find parts that fit"
          testID="find-parts"
          onPress={() => router.navigate(`/jobs/${job.id}/parts/${card.id}?pick=${candidateKey(picked)}` as never)}
        />
      ) : null}
    </>
  );
}

function useReadValues(gear: GearState): Partial<Record<WormQuantity, string>> {
  const unit = lengthUnit.use();
  const shown = Object.entries(gear.readings).map(([quantity, list]) => {
    const last = list?.at(-1);
    if (!last) return [quantity, undefined];
    const kind = WORM_WORDS[quantity as WormQuantity].kind;
    const text = kind === 'length' ? formatLength(last.reading.value, unit) : `${last.reading.value}${kind === 'angle' ? '°' : ''}`;
    return [quantity, last.over === undefined ? text : `${text} / ${last.over}`];
  });
  return Object.fromEntries(shown) as Partial<Record<WormQuantity, string>>;
}

interface MoreProps {
  readonly gear: GearState;
  readonly values: Readonly<Partial<Record<WormQuantity, string>>>;
  readonly onPick: (quantity: WormQuantity) => void;
  readonly onHand: (hand: 'right' | 'left') => void;
}

/** What cannot be pointed at in the side view. */
function More({ gear, values, onPick, onHand }: MoreProps) {
  return (
    <View className="gap-2">
      <View className="flex-row gap-2">
        {(['leadAngleDeg', 'centreDistanceMm'] as const).map((quantity) => (
          <Button
            key={quantity}
            className="flex-1"
            label={WORM_WORDS[quantity].short}
            detail={values[quantity] ?? 'measure'}
            onPress={() => onPick(quantity)}
          />
        ))}
      </View>
      <Segments
        label="Hand of the thread"
        options={[
          ['right', 'Right-hand thread'],
          ['left', 'Left-hand thread'],
        ]}
        value={gear.hand}
        onChange={onHand}
      />
    </View>
  );
}
