import { t } from '@patient-badger/wording/ratio';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useBook } from '../data/book.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { Desk } from '../desk/Desk.tsx';
import type { DeskSpec } from '../desk/DeskSpec.ts';
import { COUNT } from './desks/count.ts';
import { ODOMETER, type Corrected } from './desks/odometer.ts';
import { SWAP } from './desks/swap.ts';
import { TRAIN, TRAIN_DESIGN } from './desks/train.ts';
import { knownSpeedometer } from './knownFigures.ts';
import type { SpeedometerDraft } from './speedometer.ts';
import { SpeedometerDesk } from './SpeedometerDesk.tsx';

const DESKS = [
  ['speedometer', t.speedometer],
  ['count', t.countTurns],
  ['train', t.train],
  ['swap', t.gearSwap],
  ['odometer', t.odometer],
] as const;
type DeskName = (typeof DESKS)[number][0];

/** What is reckoned and not written down. */
const ANSWERS: Readonly<Record<DeskName, readonly DeskSpec[]>> = {
  speedometer: [],
  count: [COUNT],
  train: [TRAIN, TRAIN_DESIGN],
  swap: [SWAP],
  odometer: [],
};

/** Ratios reckoned by themselves. */
export const RatioScreen = () => (
  <Screen title={t.ratioDesk} back="/">
    <Desks />
  </Screen>
);

/** Ratios reckoned for a job: what is chosen is kept on it. */
export const JobRatioScreen = () => <JobFrame stage="match">{(view) => <Desks view={view} />}</JobFrame>;

function Desks({ view }: { view?: JobView | undefined }) {
  const { desk: given } = useLocalSearchParams<{ desk?: string }>();
  const router = useRouter();
  const [desk, setDesk] = useState<DeskName>(DESKS.find(([id]) => id === given)?.[0] ?? 'speedometer');
  const { write, problem } = useRecord(view?.job.id ?? '');
  const book = useBook(view?.machine?.modelId).data?.book;
  const known = view ? knownSpeedometer(view.state, book) : {};
  const odometer: typeof ODOMETER = { ...ODOMETER, known: () => odometerOf(known, view?.state.facts.distanceKm) };
  return (
    <>
      {view ? <Text variant="title">{t.ratioDesk}</Text> : null}
      <View className="flex-row flex-wrap gap-2" role="radiogroup" aria-label={t.whatToReckon}>
        {DESKS.map(([id, name]) => (
          <Button key={id} label={name} variant={id === desk ? 'chosen' : 'plain'} checked={id === desk} onPress={() => setDesk(id)} />
        ))}
      </View>
      {desk === 'speedometer' ? (
        <SpeedometerDesk
          onKeep={view && ((chosen) => void write(chosen))}
          kept={view?.state.ratioChosen ?? null}
          jobId={view?.job.id}
          known={known}
        />
      ) : null}
      {ANSWERS[desk].map((spec) => (
        <Desk key={spec.id} spec={spec} context={{ view }} />
      ))}
      {desk === 'odometer' ? (
        <>
          <Desk spec={odometer} context={{ view }} onWrite={view && ((corrected: Corrected) => void write(corrected))} />
          {view?.state.odometerCorrected ? (
            <Button label={t.disclosureSheet} testID="disclosure" onPress={() => router.navigate(`/jobs/${view.job.id}/disclosure`)} />
          ) : null}
        </>
      ) : null}
      <Problem text={problem} />
    </>
  );
}

/** The odometer's reading as it was taken in, and the cable's turns where the speedometer's figures have them. */
const odometerOf = ({ cable, cablePer }: Partial<SpeedometerDraft>, distanceKm: unknown) => ({
  ...(typeof distanceKm === 'number' && { reading: String(distanceKm), unit: 'km' }),
  ...(cable && { cable }),
  ...(cablePer && { cablePer }),
});
