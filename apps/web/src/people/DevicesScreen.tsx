import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
import { signedInDevice, type SignedInDevice } from '@patient-badger/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { z } from 'zod';
import { call } from '../data/api.ts';
import { forgetAll } from '../data/forget.ts';
import { askStanding } from '../data/standing.ts';
import { useShop } from '../data/shop.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { useAttempt } from '../data/useAttempt.ts';

/** Where one is signed in; for an owner all devices of the shop. */
export function DevicesScreen() {
  const devices = useQuery({ queryKey: ['devices'], queryFn: () => call('/api/devices', z.array(signedInDevice)) });
  return (
    <Screen title={t.devicesThatAreSignedIn} under={t.aLostPhoneIsSigned} back="/settings">
      {devices.data?.map((device) => (
        <Device key={device.id} device={device} />
      ))}
      {devices.data ? null : <Text>{devices.error?.message ?? t.lookingWhichDevicesAreSigned}</Text>}
    </Screen>
  );
}

function Device({ device: { id, name, personId, since, lastSeen, here } }: { device: SignedInDevice }) {
  const refresh = useRefresh();
  const client = useQueryClient();
  const people = useShop().data?.people ?? [];
  const { attempt, problem } = useAttempt();
  const who = people.find((each) => each.id === personId)?.name ?? personId;
  const signOut = async () => {
    await attempt(async () => {
      await call(`/api/devices/${id}/sign-out`, z.object({ done: z.literal(true) }), { method: 'POST', json: {} });
      await (here ? forgetAll(client).then(askStanding) : refresh('devices'));
    });
  };
  return (
    <Card tone={here ? 'next' : 'plain'}>
      <Text variant="strong">
        {name || shared.aDevice}
        {here ? t.thisOne : ''}
      </Text>
      <Text variant="soft">
        {t.signedInByOnLast(who, format(parseISO(since), 'd MMM yyyy, HH:mm'), format(parseISO(lastSeen), 'd MMM, HH:mm'))}
      </Text>
      <Button label={t.signOutWithMore(here ? t.thisDevice : name || shared.it)} onPress={() => void signOut()} />
      <Problem text={problem} />
    </Card>
  );
}
