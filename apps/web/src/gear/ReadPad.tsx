import type { GearQuantity } from '@patient-badger/core/gear';
import type { Piece } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useRecord } from '../data/useRecord.ts';
import { Overlay } from '../design/Overlay.tsx';
import { Problem } from '../design/Problem.tsx';
import { instrumentOn } from '../instrument/instruments.ts';
import type { JobView } from '../job/JobView.ts';
import { Pad } from './Pad.tsx';
import type { QuantityWords } from './QuantityWords.ts';

interface Props {
  readonly view: JobView;
  readonly card: GearCard;
  readonly quantity: GearQuantity;
  readonly words: QuantityWords;
  readonly onClose: () => void;
  /** What follows once it is kept, where another reading may follow. */
  readonly onNext?: (() => void) | undefined;
  /** Whether the caliper on the bench can be put to this gear. */
  readonly caliper?: boolean | undefined;
  /** Read off another gear that is laid beside it. */
  readonly piece?: Piece | undefined;
  /** How many it is to be measured over, where that is settled. */
  readonly over?: number | undefined;
}

/** The number pad over the gear card: what is kept there is written on the job. */
export function ReadPad({ view: { job, state }, card, quantity, words: usual, onClose, onNext, caliper = false, piece, over }: Props) {
  const { write, problem } = useRecord(job.id);
  const words = usual.over && over ? { ...usual, over: { ...usual.over, usual: over } } : usual;
  const gear = state.gears[card.id];
  const readings = piece ? gear?.beside?.[piece] : gear?.readings;
  return (
    <Overlay testID={`pad-of-${quantity}`}>
      <Pad
        key={quantity}
        words={words}
        last={readings?.[quantity]?.findLast((each) => each.over === words.over?.usual)?.entered}
        onClose={onClose}
        goesOn={onNext !== undefined}
        caliper={caliper ? (unit) => instrumentOn(job.id, 'caliper').read({ gear: card.id, quantity, unit }) : undefined}
        onKeep={(entered, goOn) =>
          void write({ kind: 'dimensionRead', gear: card.id, quantity, ...entered, ...(piece && { piece }) }).then((kept) => {
            if (!kept) return;
            onClose();
            if (goOn) onNext?.();
          })
        }
      />
      <Problem text={problem} />
    </Overlay>
  );
}
