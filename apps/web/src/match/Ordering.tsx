import { t } from '@patient-badger/wording/match';
import { t as shared } from '@patient-badger/wording/shared';
import type { GearCard } from '@patient-badger/core/machine';
import { part as partSchema, type Listing } from '@patient-badger/contract';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { call } from '../data/api.ts';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Button } from '../design/Button.tsx';
import { Problem } from '../design/Problem.tsx';
import { money } from '../wording/words.ts';
import type { JobView } from '../job/JobView.ts';
import { offersOf, waitText } from './offers.ts';

/** The chosen part ordered from one of its sellers, and the way to what came. */
export function Ordering({ view: { job, state }, card, partId }: { view: JobView; card: GearCard; partId: string }) {
  const router = useRouter();
  const { write, problem } = useRecord(job.id);
  const currency = useShop().data?.currency ?? 'EUR';
  // Asked for by itself: a filter of the search must not hide what is already chosen.
  const part = useQuery({ queryKey: ['part', partId], queryFn: () => call(`/api/parts/${partId}`, partSchema) }).data;
  const offers = part ? offersOf(part) : [];
  const [from, setFrom] = useState<string | null>(null);
  const seller = offers.find(({ supplier }) => supplier === from) ?? offers[0];
  const toOrders = () => router.navigate(`/jobs/${job.id}/receive/${card.id}`);
  const orders = state.gears[card.id]?.orders ?? [];
  const open = orders.some((each) => each.partId === partId && each.state !== 'refused');
  const detail = (each: Listing) => `${money(each.priceMinor, currency)}, ${waitText(each)}`;
  const order = async () => {
    if (!part || !seller) return;
    const { id, partNumber, name, attributes } = part;
    const { supplier, priceMinor } = seller;
    if (await write({ kind: 'partOrdered', gear: card.id, partId: id, partNumber, name, supplier, priceMinor, attributes })) toOrders();
  };
  return (
    <>
      {part && seller && !open ? (
        <>
          {offers.length > 1 ? (
            <View role="radiogroup" aria-label={shared.fromWhom} className="gap-2">
              {offers.map((offer) => (
                <Button
                  key={offer.supplier}
                  label={offer.supplier}
                  detail={detail(offer)}
                  variant={offer === seller ? 'chosen' : 'plain'}
                  checked={offer === seller}
                  onPress={() => setFrom(offer.supplier)}
                />
              ))}
            </View>
          ) : null}
          <Button label={shared.orderIt} detail={`${seller.supplier}, ${detail(seller)}`} testID="order" onPress={() => void order()} />
        </>
      ) : null}
      {orders.length > 0 ? <Button label={t.ordersAndReceiving} testID="to-orders" onPress={toOrders} /> : null}
      <Problem text={problem} />
    </>
  );
}
