import { t } from '@patient-badger/wording/match';
import type { GearCard } from '@patient-badger/core/machine';
import { partMatch } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { Text } from '../design/Text.tsx';
import type { JobView } from '../job/JobView.ts';
import { PartCard } from './PartCard.tsx';
import { PlateNumber, platesFor } from './PlateNumber.tsx';

/** Before anything is measured: the number on the part finds what sellers list under it. It is a claim, and nothing is ordered by it. */
export function ByNumber({ view, card }: { view: JobView; card: GearCard }) {
  const numbers = platesFor(view.state, card).map(({ partNumber }) => partNumber);
  const asked = { wanted: { type: card.type }, numbers: numbers.slice(0, MOST_NUMBERS), limit: 1 };
  const found = useQuery({
    queryKey: ['parts', asked],
    queryFn: () => call('/api/parts/search', z.array(partMatch), { json: asked }),
    enabled: numbers.length > 0,
  }).data;
  const named = (found ?? []).filter(({ part }) => numbers.includes(part.partNumber));
  return (
    <>
      <PlateNumber view={view} card={card} />
      {named.length > 0 ? <Text variant="strong">{t.aClaimUntilMeasured}</Text> : null}
      {named.map((match) => (
        <PartCard key={match.part.id} match={match} chosen={false} machineModel={view.machine?.modelName ?? undefined} />
      ))}
    </>
  );
}

/** So many numbers are asked after. */
const MOST_NUMBERS = 8;
