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
      <Text variant="head">Sign this device out</Text>
      <Text>
        Owners, jobs and photos that were read are forgotten on this device, connection or not.{' '}
        {waiting === 0
          ? ''
          : `${waiting} ${waiting === 1 ? 'note waits' : 'notes wait'} to be sent: they stay on this device, and go out when you sign in again.`}
      </Text>
      <Button variant="danger" label="Sign out" testID="sign-out" onPress={() => void signOut()} />
    </Card>
  );
}
