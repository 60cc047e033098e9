import { t } from '@patient-badger/wording/people';
import type { Person } from '@patient-badger/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { usePerson } from '../data/person.ts';
import { takeByName } from '../data/putDown.ts';
import { useConnection, useShop } from '../data/shop.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { ROLE_NAMES } from '../wording/roleNames.ts';
import { ProveForm } from '../shell/ProveForm.tsx';

/** Who has this device: handed over by PIN. Without a connection by name, and the PIN is asked for before anything goes out. */
export function SwitchPerson() {
  const shop = useShop();
  const person = usePerson();
  const down = useConnection() === 'down';
  const [asked, setAsked] = useState<Person | null>(null);
  const people = (shop.data?.people ?? []).filter(({ retired }) => !retired);
  const take = (next: Person) => {
    if (next.id === person) return setAsked(null);
    if (!down) return setAsked(next);
    takeByName(next.id);
  };
  return (
    <Card>
      <Text variant="head">{t.whoIsAtTheBench}</Text>
      <View role="radiogroup" aria-label={t.whoIsAtTheBench2} className="gap-2">
        {people.map((one) => (
          <Button
            key={one.id}
            big
            label={one.name}
            detail={[ROLE_NAMES[one.role], one.about].filter(Boolean).join(' · ')}
            variant={person === one.id ? 'chosen' : 'plain'}
            checked={person === one.id}
            onPress={() => take(one)}
          />
        ))}
      </View>
      {asked ? <ProveForm key={asked.id} person={asked} action={t.handOverTo(asked.name)} onDone={() => setAsked(null)} /> : null}
      {down ? <Text variant="soft">{t.noConnectionChooseByName}</Text> : null}
      {shop.data ? null : <Text>{shop.error?.message ?? t.lookingWhoWorksHere}</Text>}
    </Card>
  );
}
