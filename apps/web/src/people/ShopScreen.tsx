import { t } from '@patient-badger/wording/people';
import { t as shared } from '@patient-badger/wording/shared';
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
import { schemaProblem } from '../wording/schemaProblems.ts';

/** What an owner sets for everybody. */
export function ShopScreen() {
  const router = useRouter();
  const shop = useShop().data;
  const isOwner = useMe()?.role === 'owner';
  return (
    <Screen title={shared.theShop} under={shop?.name} back="/settings">
      <Card>
        <Text variant="head">{t.people}</Text>
        <Text>
          {shop?.people
            .filter(({ retired }) => !retired)
            .map(({ name }) => name)
            .join(', ')}
        </Text>
        <Button label={t.people} detail={t.addRenameRetireRolesAnd} onPress={() => router.navigate('/shop/people')} />
      </Card>
      {isOwner ? <ServerTrouble /> : null}
      <PhoneAddress />
      {shop && isOwner ? <ShopForm key={shop.id} shop={shop} /> : null}
      {isOwner ? <Keeping /> : null}
      {isOwner ? <SampleParts /> : null}
      {isOwner ? (
        <Button label={t.whatWasChanged} detail={t.whoChangedWhatOutsideThe} onPress={() => router.navigate('/shop/changes')} />
      ) : (
        <Text variant="soft">{t.nameCurrencyUnitsRateAnd}</Text>
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
    if (rateMinor === null) return setTold({ bad: shared.theRatePerHourIs });
    const parsed = shopSettings.safeParse({ ...draft, rateMinor });
    if (!parsed.success) return setTold({ bad: schemaProblem(parsed.error, { ...draft, rateMinor }) });
    try {
      await call('/api/shop', shopSchema, { json: parsed.data });
      await refresh('shop');
      setTold({ good: t.kept });
    } catch (error) {
      setTold({ bad: messageOf(error) });
    }
  };
  return (
    <Card>
      <Text variant="head">{t.nameMoneyUnits}</Text>
      <Field label={shared.nameOfTheShop} value={draft.name} onChangeText={(name) => setDraft({ ...draft, name })} maxLength={80} />
      <Field
        label={shared.currencyThreeLetters}
        value={draft.currency}
        onChangeText={(currency) => setDraft({ ...draft, currency })}
        maxLength={3}
        autoCapitalize="characters"
      />
      <Field label={shared.ratePerHour} value={rate} onChangeText={setRate} inputMode="decimal" />
      <UnitFields value={draft} onChange={(change) => setDraft({ ...draft, ...change })} />
      {told.bad ? (
        <Text variant="danger" role="alert">
          {told.bad}
        </Text>
      ) : null}
      {told.good ? <Text role="status">{told.good}</Text> : null}
      <Button variant="primary" label={shared.keepThis} testID="keep-shop" onPress={() => void save()} />
    </Card>
  );
}
