import type { Shop } from '@patient-badger/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { call, type Reader } from './api.ts';
import { connection } from './connection.ts';
import { outbox, type Waiting } from './outbox.ts';
import { usePerson } from './person.ts';

/** Everything in the box of this device: what is on its way, what is set aside, and for a moment what has arrived. */
export const useOutbox = (): readonly Waiting[] => useSyncExternalStore(outbox.subscribe, outbox.get, outbox.get);
/** What the server does not have yet. */
export const useWaiting = (): readonly Waiting[] => useOutbox().filter(({ sent }) => !sent);
export const useConnection = () => useSyncExternalStore(connection.subscribe, connection.get, connection.get);

/** A check of the fields that a first screen needs: the whole of Zod would come before it. */
const shop: Reader<Shop> = {
  parse(given) {
    const { name, people } = given as Partial<Shop>;
    if (typeof name !== 'string' || !Array.isArray(people) || !people.every(({ id }) => typeof id === 'string'))
      throw new TypeError('no shop');
    return given as Shop;
  },
};

/** Whoever has the device, as the shop knows them. */
export function useMe() {
  const id = usePerson();
  return useShop().data?.people.find((each) => each.id === id);
}

export const shopQuery = () => queryOptions({ queryKey: ['shop'], queryFn: () => call('/api/shop', shop), staleTime: 600_000 });
export const useShop = () => useQuery(shopQuery());
