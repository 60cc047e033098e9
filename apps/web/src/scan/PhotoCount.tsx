import { t } from '@patient-badger/wording/scan';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearCard } from '@patient-badger/core/machine';
import { useRouter } from 'expo-router';
import ScanSearch from 'lucide-react-native/icons/scan-search';
import { useState } from 'react';
import { recordPhoto } from '../data/record.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { useColours } from '../design/useColours.ts';
import { cameraPicture } from '../instrument/instruments.ts';
import type { JobView } from '../job/JobView.ts';
import { photoRefusal } from '../photo/photoRefusal.ts';
import { pickPhoto } from '../photo/pickPhoto.ts';
import { hashOf } from './photoFile.ts';
import { messageOf } from '../wording/messageOf.ts';

/** What is asked of a photo, where it is not a count of teeth. */
const ASKED: Readonly<Partial<Record<GearCard['type'], { readonly label: string; readonly camera: string }>>> = {
  worm: { label: t.readTheWormOnA, camera: t.readWithTheBenchCamera },
  sector: { label: t.readTheArcOnA, camera: t.readWithTheBenchCamera },
};

/** Takes a photo of a gear and leads to what is read on it. */
export function PhotoCount({ view: { job, state, machine }, card }: { view: JobView; card: GearCard }) {
  const router = useRouter();
  const colours = useColours();
  const [problem, setProblem] = useState<string | null>(null);
  const asked = ASKED[card.type] ?? { label: t.countTheTeethOnA, camera: t.countWithTheBenchCamera };
  const scans = state.gears[card.id]?.scans ?? [];
  const toScan = (hash: string) => router.navigate(`/jobs/${job.id}/scan/${card.id}/${hash}`);
  const take = async (from: () => Promise<Blob | null>) => {
    try {
      const file = await from();
      if (!file) return;
      const refused = await photoRefusal(file);
      setProblem(refused);
      if (refused !== null) return;
      const hash = await hashOf(file);
      await recordPhoto(job.id, card.id, file);
      toScan(hash);
    } catch (error) {
      setProblem(messageOf(error));
    }
  };
  return (
    <>
      <Button
        label={asked.label}
        icon={<ScanSearch color={colours.accent} size={24} />}
        testID="count-on-photo"
        onPress={() => void take(pickPhoto)}
      />
      {machine?.instruments ? (
        <Button
          variant="quiet"
          label={asked.camera}
          testID="count-with-camera"
          onPress={() => void take(() => cameraPicture(job.id, { gear: card.id }))}
        />
      ) : null}
      <Problem text={problem} />
      {scans.map(({ hash, found }) => (
        <Button
          key={hash}
          label={t.onAPhotoTeeth(found.teeth)}
          detail={t.there(found.teethPresent, found.corrected.length > 0 ? shared.putRightByHand : '')}
          testID="kept-scan"
          onPress={() => toScan(hash)}
        />
      ))}
    </>
  );
}
