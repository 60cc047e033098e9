import { QueryClient } from '@tanstack/react-query';
import { isKept, MOST_KEPT } from './kept.ts';

function clientWith(keys: readonly (readonly unknown[])[]): QueryClient {
  const client = new QueryClient();
  keys.forEach((key, i) => client.setQueryData(key, { i }, { updatedAt: i + 1 }));
  return client;
}
const keptOf = (client: QueryClient) =>
  client
    .getQueryCache()
    .getAll()
    .filter(isKept(client))
    .map(({ queryKey }) => queryKey);

test('of jobs only those that were read last are kept, however many there were', () => {
  const most = MOST_KEPT.job ?? 0;
  const client = clientWith(Array.from({ length: most + 25 }, (_, i) => ['job', i]));
  expect(keptOf(client)).toEqual(Array.from({ length: most }, (_, i) => ['job', i + 25]));
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
  expect(keptOf(client)).toEqual([['shop'], ['rows', { state: 'open' }], ['machines', 'words=']]);
  client.clear();
});
