import type { JobPage, JobRow } from '@patient-badger/contract';
import type { InfiniteData } from '@tanstack/react-query';
import { withRow } from './rows.ts';

const row = (id: string, more: Partial<JobRow> = {}): JobRow => ({
  id,
  machineId: 'm1',
  family: 'saw-oil-pump',
  label: id,
  owner: '',
  complaint: 'dry',
  takenInAt: null,
  closedAt: null,
  promisedOn: null,
  followUp: null,
  found: null,
  outcome: null,
  seq: 1,
  move: null,
  ...more,
});
const held = (...pages: JobRow[][]): InfiniteData<JobPage, string> => ({
  pages: pages.map((rows) => ({ rows, next: null })),
  pageParams: pages.map(() => ''),
});
const ids = ({ pages }: InfiniteData<JobPage, string>) => pages.map(({ rows }) => rows.map(({ id }) => id));

test('a list of what is looked at again holds what has a day, finished or not', () => {
  const followUp = { due: '2026-12-01', action: 'look', what: 'dry' } as const;
  const list = held([row('a', { followUp })]);
  expect(ids(withRow(list, row('a', { seq: 2 }), { again: 'yes' }))).toEqual([[]]);
  expect(ids(withRow(list, row('b', { followUp, closedAt: '2026-11-01' }), { again: 'yes' }))).toEqual([['b', 'a']]);
});

test('a row that changed stays in its place', () => {
  const after = withRow(held([row('a'), row('b')], [row('c')]), row('b', { complaint: 'leaks', seq: 2 }), { state: 'open' });
  expect(ids(after)).toEqual([['a', 'b'], ['c']]);
  expect(after.pages[0]?.rows[1]?.complaint).toBe('leaks');
});

test('a closed job leaves the bench and comes first among the finished', () => {
  const closed = row('b', { closedAt: '2026-11-25T10:00:00.000Z', seq: 5 });
  expect(ids(withRow(held([row('a'), row('b')]), closed, { state: 'open' }))).toEqual([['a']]);
  expect(ids(withRow(held([row('x', { closedAt: 'earlier' })]), closed, { state: 'closed' }))).toEqual([['b', 'x']]);
});

test('a new one joins only lists that it belongs to, and none that was sought by words', () => {
  expect(ids(withRow(held([row('a')]), row('n'), { state: 'open' }))).toEqual([['n', 'a']]);
  expect(ids(withRow(held([row('a')]), row('n'), { machine: 'm2' }))).toEqual([['a']]);
  expect(ids(withRow(held([row('a')]), row('n'), { machine: 'm1' }))).toEqual([['n', 'a']]);
  expect(ids(withRow(held([row('a')]), row('n'), { state: 'open', words: 'saw' }))).toEqual([['a']]);
});

test('news that come late change nothing, and a move that is there is not lost', () => {
  const now = held([row('a', { seq: 7, move: { kind: 'noLookLeft' } })]);
  expect(withRow(now, row('a', { seq: 6 }), { state: 'open' })).toBe(now);
  expect(withRow(now, row('a', { seq: 7 }), { state: 'open' })).toBe(now);
  expect(withRow(now, row('a', { seq: 8 }), { state: 'open' }).pages[0]?.rows[0]).toMatchObject({ seq: 8, move: null });
});
