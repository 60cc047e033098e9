import { shop as shopSchema, shopSettings, type Shop } from '@patient-badger/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { call } from '../data/api.ts';
import { useMe, useShop } from '../data/shop.ts';
import { useRefresh } from '../data/useRefresh.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Text } from '../design/Text.tsx';
import { Screen } from '../shell/Screen.tsx';
import { Keeping, ServerTrouble } from './Keeping.tsx';
import { PhoneAddress } from './PhoneAddress.tsx';
import { SampleParts } from './SampleParts.tsx';
import { rateOf } from './rate.ts';
import { UnitFields } from './UnitFields.tsx';
import { messageOf } from '../wording/messageOf.ts';

/** What an owner sets for everybody. */
export function ShopScreen() {
  const router = useRouter();
  const shop = useShop().data;
  const isOwner = useMe()?.role === 'owner';
  return (
    <Screen title="The shop" under={shop?.name} back="/settings">
      <Card>
        <Text variant="head">People</Text>
        <Text>
          {shop?.people
            .filter(({ retired }) => !retired)
            .map(({ name }) => name)
            .join(', ')}
        </Text>
        <Button label="People" detail="Add, rename, retire; roles and new passphrases" onPress={() => router.navigate('/shop/people')} />
      </Card>
      {isOwner ? <ServerTrouble /> : null}
      <PhoneAddress />
      {shop && isOwner ? <ShopForm key={shop.id} shop={shop} /> : null}
      {isOwner ? <Keeping /> : null}
      {isOwner ? <SampleParts /> : null}
      {isOwner ? (
        <Button
          label="What was changed"
          detail="Who changed what outside the jobs, and when"
          onPress={() => router.navigate('/shop/changes')}
        />
      ) : (
        <Text variant="soft">Name, currency, units, rate and people are set by an owner.</Text>
      )}
    </Screen>
  );
}

function ShopForm({ shop }: { shop: Shop }) {
  const refresh = useRefresh();
  const [draft, setDraft] = useState(() => shopSettings.parse(shop));
  const [rate, setRate] = useState((shop.rateMinor / 100).toFixed(2));
  const [told, setTold] = useState<{ readonly bad?: string; readonly good?: string }>({});
  const save = async () => {
    const rateMinor = rateOf(rate);
    if (rateMinor === null) return setTold({ bad: 'The rate per hour is a figure, such as 54 or 54.50.' });
    const parsed = shopSettings.safeParse({ ...draft, rateMinor });
    if (!parsed.success) return setTold({ bad: parsed.error.issues.map(({ message }) => message).join(' ') });
    try {
      await call('/api/shop', shopSchema, { json: parsed.data });
      await refresh('shop');
      setTold({ good: 'Kept.' });
    } catch (error) {
      setTold({ bad: messageOf(error) });
    }
  };
  return (
    <Card>
      <Text variant="head">Name, money, units</Text>
      <Field label="Name of the shop" value={draft.name} onChangeText={(name) => setDraft({ ...draft, name })} maxLength={80} />
      <Field
        label="Currency, three letters"
        value={draft.currency}
        onChangeText={(currency) => setDraft({ ...draft, currency })}
        maxLength={3}
        autoCapitalize="characters"
      />
      <Field label="Rate per hour" value={rate} onChangeText={setRate} inputMode="decimal" />
      <UnitFields value={draft} onChange={(change) => setDraft({ ...draft, ...change })} />
      {told.bad ? (
        <Text variant="danger" role="alert">
          {told.bad}
        </Text>
      ) : null}
      {told.good ? <Text role="status">{told.good}</Text> : null}
      <Button variant="primary" label="Keep this" testID="keep-shop" onPress={() => void save()} />
    </Card>
  );
}
