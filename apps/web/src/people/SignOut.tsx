import { t } from '@patient-badger/wording/people';
import { useQueryClient } from '@tanstack/react-query';
import { forgetAll } from '../data/forget.ts';
import { useWaiting } from '../data/shop.ts';
import { askStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';

/** Gives the device back: what was read is forgotten here; what waits to be sent stays until its author is back. */
export function SignOut() {
  const client = useQueryClient();
  const waiting = useWaiting().length;
  const signOut = async () => {
    await forgetAll(client);
    await askStanding();
  };
  return (
    <Card>
      <Text variant="head">{t.signThisDeviceOut}</Text>
      <Text>{t.ownersJobsAndPhotosThat(waiting === 0 ? '' : t.toBeSentTheyStay(waiting, waiting === 1 ? t.noteWaits : t.notesWait))}</Text>
      <Button variant="danger" label={t.signOut} testID="sign-out" onPress={() => void signOut()} />
    </Card>
  );
}
