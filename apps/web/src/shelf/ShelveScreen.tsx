import { t } from '@patient-badger/wording/shelf';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { attributeLine } from '../wording/attributeWords.ts';
import { useWanted } from '../gear/useWanted.ts';
import { DonorForm } from './DonorForm.tsx';

/** The machine's own gear put on the shelf as it was measured. */
export const ShelveScreen = () => <GearFrame stage="measure">{(view, card) => <Shelve view={view} card={card} />}</GearFrame>;

function Shelve({ view: { job, state, machine, pack }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const known = useWanted(pack, card, { gear: state.gears[card.id] })?.attributes;
  const { hours, distanceKm } = state.facts;
  return (
    <>
      <Text variant="title">{t.forTheShelf(card.name)}</Text>
      <Card tone="sunken">
        <Text variant="head">{t.asItWasMeasured}</Text>
        <Text>{known ? attributeLine(known) : t.nothingWasMeasuredYetOnly}</Text>
      </Card>
      <DonorForm
        name={card.name}
        cameFrom={[machine?.label ?? pack.name, machine?.modelName].filter(Boolean).join(', ')}
        machineId={machine?.id}
        workedHours={typeof hours === 'number' ? hours : undefined}
        workedKm={typeof distanceKm === 'number' ? distanceKm : undefined}
        attributes={known ?? (card.type === 'other' ? {} : { type: card.type })}
        onKept={() => router.navigate(`/jobs/${job.id}/gear/${card.id}`)}
      />
    </>
  );
}
