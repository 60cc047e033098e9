import type { GearCard, GearQuantity } from '@patient-badger/core';
import { useRecord } from '../data/useRecord.ts';
import { Overlay } from '../design/Overlay.tsx';
import { Text } from '../design/Text.tsx';
import { instrumentOn } from '../instrument/instruments.ts';
import type { JobView } from '../job/JobView.ts';
import { Pad } from './Pad.tsx';
import type { QuantityWords } from './quantities.ts';

interface Props {
  readonly view: JobView;
  readonly card: GearCard;
  readonly quantity: GearQuantity;
  readonly words: QuantityWords;
  readonly onClose: () => void;
  /** Whether the caliper on the bench can be put to this gear. */
  readonly caliper?: boolean;
}

/** The number pad over the gear card: what is kept there is written on the job. */
export function ReadPad({ view: { job, state }, card, quantity, words, onClose, caliper = false }: Props) {
  const { write, problem } = useRecord(job.id);
  return (
    <Overlay>
      <Pad
        key={quantity}
        words={words}
        last={state.gears[card.id]?.readings[quantity]?.findLast(({ over }) => over === words.over?.usual)?.entered}
        onClose={onClose}
        caliper={caliper ? (unit) => instrumentOn(job.id, 'caliper').read({ gear: card.id, quantity, unit }) : undefined}
        onKeep={(entered) => void write({ kind: 'dimensionRead', gear: card.id, quantity, ...entered }).then((kept) => kept && onClose())}
      />
      {problem ? <Text look="danger">{problem}</Text> : null}
    </Overlay>
  );
}
