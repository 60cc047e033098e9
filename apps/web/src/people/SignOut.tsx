import { useQueryClient } from '@tanstack/react-query';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { useWaiting } from '../data/shop.ts';
import { standingReader, takeStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { useAttempt } from '../data/useAttempt.ts';

/** Gives the device back: what was read is forgotten here; what waits to be sent stays until its author is back. */
export function SignOut() {
  const client = useQueryClient();
  const waiting = useWaiting().length;
  const { attempt, problem } = useAttempt();
  const signOut = async () => {
    await attempt(async () => {
      const next = await call('/api/sign-out', standingReader, { method: 'POST', json: {}, person: null });
      client.clear();
      choosePerson(null);
      takeStanding(next);
    });
  };
  return (
    <Card>
      <Text variant="head">Sign this device out</Text>
      <Text>
        What was read is forgotten here.{' '}
        {waiting === 0
          ? ''
          : `${waiting} ${waiting === 1 ? 'note waits' : 'notes wait'} to be sent and will go out when you sign in again.`}
      </Text>
      <Button variant="danger" label="Sign out" testID="sign-out" onPress={() => void signOut()} />
      {problem ? <Text variant="danger">{problem}</Text> : null}
    </Card>
  );
}
