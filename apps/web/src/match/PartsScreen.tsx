import { byKeptRatio } from '@patient-badger/core/job';
import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import { findsParts } from '@patient-badger/core/job';
import type { GearCard } from '@patient-badger/core/machine';
import type { PartAttributes } from '@patient-badger/core/parts';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { GearFrame } from '../job/GearFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { percent } from '../wording/words.ts';
import { attributeWords } from '../wording/attributeWords.ts';
import { useWanted } from '../gear/useWanted.ts';
import { ByNumber } from './ByNumber.tsx';
import { Found } from './FoundParts.tsx';

/** Parts that fit by their dimensions, best first; what the seller claims is shown and not believed. */
export const PartsScreen = () => (
  <GearFrame stage="match">
    {(view, card) => (
      <>
        {findsParts(view.pack, card.id) ? <Matching view={view} card={card} /> : <NoSearchYet view={view} card={card} />}
        <OtherParts jobId={view.job.id} />
      </>
    )}
  </GearFrame>
);

function NoSearchYet({ view: { job }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  return (
    <Card tone="sunken">
      <Text variant="head">{t.noSearchForThisGear}</Text>
      <Text>{t.writeDownWhatYouMeasured}</Text>
      <Button variant="primary" big label={card.name} onPress={() => router.navigate(`/jobs/${job.id}/gear/${card.id}`)} />
    </Card>
  );
}

function OtherParts({ jobId }: { jobId: string }) {
  const router = useRouter();
  return (
    <Button
      label={t.partsThatAreNoGears}
      detail={t.bearingsSealsPinsAWhole}
      testID="to-items"
      onPress={() => router.navigate(`/jobs/${jobId}/items`)}
    />
  );
}

function Matching({ view, card }: { view: JobView; card: GearCard }) {
  const { job, state, machine } = view;
  const router = useRouter();
  const { pick } = useLocalSearchParams<{ pick?: string }>();
  const gear = state.gears[card.id];
  const wanted = useWanted(view.pack, card, { gear, pick, modelId: machine?.modelId });
  if (!wanted) {
    return (
      <>
        <Card tone="sunken">
          <Text variant="head">{t.measureFirst}</Text>
          <Text>{t.partsAreFoundByDimensions}</Text>
          <Button variant="primary" big label={shared.measureTheGear} onPress={() => router.navigate(`/jobs/${job.id}/gear/${card.id}`)} />
        </Card>
        <ByNumber view={view} card={card} />
      </>
    );
  }
  const byRatio = byKeptRatio(view.pack, { card, measured: wanted.attributes }, state);
  const asked = byRatio ?? wanted.attributes;
  return (
    <>
      <Wanted wanted={asked} />
      {byRatio?.teeth === undefined ? null : (
        <Text variant="strong" testID="by-ratio">
          {t.byTheKeptRatio(byRatio.teeth, wanted.attributes.teeth ?? '?')}
        </Text>
      )}
      {wanted.probability < SURE ? (
        <Card tone="danger">
          <Text variant="danger">{t.itIsOnlySureThat(percent(wanted.probability))}</Text>
          <Text>{t.measureWhatTheGearCard}</Text>
          <Button label={t.backToTheGearCard} onPress={() => router.navigate(`/jobs/${job.id}/gear/${card.id}`)} />
        </Card>
      ) : null}
      <Found view={view} card={card} wanted={asked} probability={wanted.probability} machineModel={machine?.modelName ?? undefined} />
    </>
  );
}

/** Below this chance the gear is not known well enough to order by. */
const SURE = 0.9;

function Wanted({ wanted }: { wanted: PartAttributes }) {
  return (
    <Card tone="sunken">
      <Text variant="head">{t.wanted}</Text>
      {attributeWords(wanted).map(([name, value]) => (
        <Text key={name}>
          {name}: {value}
        </Text>
      ))}
      {wanted.boreDiameterMm === undefined ? <Text variant="soft">{t.theBoreWasNotMeasured}</Text> : null}
      {wanted.boreShape === undefined ? <Text variant="soft">{t.howItSitsOnIts}</Text> : null}
      {wanted.hand === undefined && wanted.type !== 'spur' && wanted.type !== 'bevel' ? (
        <Text variant="soft">{t.theHandWasNotNoted}</Text>
      ) : null}
    </Card>
  );
}
