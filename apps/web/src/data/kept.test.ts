import { dehydrate, hydrate, QueryClient } from '@tanstack/react-query';
import { isKept, keptOf, MOST_KEPT } from './kept.ts';

function clientWith(keys: readonly (readonly unknown[])[]): QueryClient {
  const client = new QueryClient();
  keys.forEach((key, i) => client.setQueryData(key, { i }, { updatedAt: i + 1 }));
  return client;
}
const keysKept = (client: QueryClient) =>
  client
    .getQueryCache()
    .getAll()
    .filter(isKept(client))
    .map(({ queryKey }) => queryKey);

test('of jobs only those that were read last are kept, however many there were', () => {
  const most = MOST_KEPT.job ?? 0;
  const client = clientWith(Array.from({ length: most + 25 }, (_, i) => ['job', i]));
  expect(keysKept(client)).toEqual(Array.from({ length: most }, (_, i) => ['job', i + 25]));
  client.clear();
});

test('plain lists are kept, and nothing that was sought, looked through or worked out', () => {
  const client = clientWith([
    ['shop'],
    ['rows', { state: 'open' }],
    ['rows', { state: 'closed', words: 'van' }],
    ['rows', { machine: 'm1' }],
    ['machines', 'words='],
    ['machines', 'words=van'],
    ['machines', 'words=&family=saw-oil-pump'],
    ['parts', 'everything'],
  ]);
  expect(keysKept(client)).toEqual([['shop'], ['rows', { state: 'open' }], ['machines', 'words=']]);
  client.clear();
});

test('of a list that was gone through to its end the first pages are kept, each with where it begins', () => {
  const pages = Array.from({ length: 90 }, (_, i) => ({ rows: [i], next: `${i + 1}` }));
  const data = { pages, pageParams: pages.map((_, i) => `${i}`) };
  expect(keptOf(data)).toEqual({ pages: pages.slice(0, 2), pageParams: ['0', '1'] });
  expect(keptOf({ name: 'The shed' })).toEqual({ name: 'The shed' });
  expect(keptOf(undefined)).toBeUndefined();
});

test('what was read and could not be asked for again is kept on, and comes back as it was; what never came is not', async () => {
  const client = clientWith([['shop']]);
  const gone = () => Promise.reject(new Error('no answer'));
  for (const queryKey of [['shop'], ['job', 'x']])
    await client.fetchQuery({ queryKey, queryFn: gone, retry: false }).catch(() => undefined);
  expect(client.getQueryState(['shop'])?.status).toBe('error');
  expect(keysKept(client)).toEqual([['shop']]);
  const again = new QueryClient();
  hydrate(again, JSON.parse(JSON.stringify(dehydrate(client, { shouldDehydrateQuery: isKept(client) }))));
  expect(again.getQueryData(['shop'])).toEqual({ i: 0 });
  client.clear();
  again.clear();
});
