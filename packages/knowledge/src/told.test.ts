import { join } from 'node:path';
import { packForFacts, type Pack } from '@patient-badger/core/machine';
import { byItself, storiesIn, told } from '../../../bench/storyRuns.ts';
import { FAMILIES, findFamily } from './families.ts';

const STORIES = storiesIn(join(__dirname, '../../../bench/stories'));
const packOf = (story: (typeof STORIES)[number]) => packForFacts(findFamily(story.family) as Pack, story.facts);

test('every family has at least six stories, of the kinds that went wrong before', () => {
  const kinds = (family: string) => new Set(STORIES.filter((each) => each.family === family).map(({ kind }) => kind));
  for (const { id } of FAMILIES) {
    expect(STORIES.filter(({ family }) => family === id).length).toBeGreaterThanOrEqual(6);
    expect([...kinds(id)]).toEqual(expect.arrayContaining(['early stage', 'found at the service', 'misread look', 'two faults']));
  }
});

test('told what people looked at, in 95 of 100 stories the faults stand first with what the story asks for', () => {
  const right = STORIES.filter((story) => told(story, packOf(story)).right);
  expect(right.length / STORIES.length).toBeGreaterThanOrEqual(0.95);
});

test('by its own advice a story of each family ends with its verdict, and never on a way that the machine’s state forbids', () => {
  const one = FAMILIES.flatMap(({ id }) => STORIES.find(({ family }) => family === id) ?? []);
  const ends = one.map((story) => byItself(story, packOf(story)));
  expect(ends.flatMap((each) => each.forbidden)).toEqual([]);
  expect(ends.filter(({ wrong }) => wrong).length).toBe(0);
  expect(ends.filter(({ right }) => right).length / one.length).toBeGreaterThan(0.9);
});
