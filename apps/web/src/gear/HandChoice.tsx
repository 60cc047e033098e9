import { t } from '@patient-badger/wording/gear';
import type { GearState } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import { useRecord } from '../data/useRecord.ts';
import { Segments } from '../design/Segments.tsx';
import { Problem } from '../design/Problem.tsx';

/** Which way its thread goes. */
export function HandChoice({ jobId, card, gear }: { jobId: string; card: GearCard; gear: GearState }) {
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
