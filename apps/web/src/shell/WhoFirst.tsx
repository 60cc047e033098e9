import { t } from '@patient-badger/wording/shell';
import { lazy, Suspense } from 'react';
import { usePerson } from '../data/person.ts';
import { authorOf } from '../data/outbox.ts';
import { useConnection, useShop, useWaiting } from '../data/shop.ts';
import { standing } from '../data/signedOut.ts';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { SignInForm } from './SignInForm.tsx';
import { rest } from '../lazy/rest.ts';

const ProveForm = lazy(async () => ({ default: (await rest()).ProveForm }));

/** Before anything more goes out: signing in again where the session has run out, or the PIN of somebody who wrote without a connection. */
export function WhoFirst() {
  const now = standing.use();
  const person = usePerson();
  const down = useConnection() === 'down';
  const people = useShop().data?.people ?? [];
  const waiting = useWaiting();
  if (now === null || down) return null;
  const me = people.find(({ id }) => id === person);
  if (now.state === 'signIn') {
    return (
      <Card tone="next" className="m-3" testID="sign-in-again">
        <Text variant="head">{t.signInAgain}</Text>
        <Text>{t.thisDeviceIsNoLonger(waiting.length === 0 ? t.everythingFromHereHasGone : t.whatWaitsHereGoesOut(waiting.length))}</Text>
        <SignInForm name={me?.name} />
      </Card>
    );
  }
  const toSign = waiting.filter((item) => item.unsigned);
  const signer = people.find(({ id }) => toSign.some((item) => authorOf(item) === id));
  const unproven = [...new Set([...(person === null ? [] : [person]), ...waiting.map(authorOf)])].find((id) => !now.proven.includes(id));
  const who = people.find(({ id }) => id === unproven);
  if (now.state === 'signedIn' && signer) {
    const signs = toSign.flatMap((item) => (item.kind === 'entry' && item.entry.by === signer.id ? [item.entry.id] : []));
    return (
      <Card tone="next" className="m-3" testID="sign-pending">
        <Text variant="head">{t.aCheckWaitsForIts}</Text>
        <Text>{t.signedASafetyCriticalJob(signer.name, signer.name)}</Text>
        <Suspense fallback={null}>
          <ProveForm key={signer.id} person={signer} action={t.iAmAndSignedIt(signer.name)} signs={signs} />
        </Suspense>
      </Card>
    );
  }
  if (now.state !== 'signedIn' || !who) return null;
  return (
    <Card tone="next" className="m-3" testID="prove-first">
      <Text variant="head">{t.isItYou(who.name)}</Text>
      <Text>{t.whatWroteSinceTheDevice(who.name, who.name)}</Text>
      <Suspense fallback={null}>
        <ProveForm key={who.id} person={who} action={t.iAm(who.name)} />
      </Suspense>
    </Card>
  );
}
