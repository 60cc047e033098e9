import { findFamily } from '@patient-badger/knowledge';
import { seeded } from '../testing.ts';
import type { Pack } from '../trace/pack.ts';
import { chancesOf, drawn, possibleTruths, wayTo } from './hidden.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const steering = findFamily('worm-steering-box') as Pack;

test('each name is drawn as often as it weighs, and one that weighs nothing never', () => {
  const random = seeded(4);
  const counts = new Map<string, number>();
  for (let i = 0; i < 4000; i++) {
    const name = drawn(new Map(Object.entries({ a: 3, none: 0, b: 1 })), random);
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  expect(counts.get('none')).toBeUndefined();
  // Three of four, within four standard deviations of 27.
  expect(Math.abs((counts.get('a') ?? 0) - 3000)).toBeLessThan(110);
});

test('a machine that shows things otherwise keeps within three tenths of what the family says, and strays from it', () => {
  const [truth] = possibleTruths(saw, 1);
  const hypothesis = truth?.hypothesis ?? '';
  const random = seeded(9);
  const factors = saw.looks.flatMap(({ id }) => {
    const said = chancesOf(saw, id, { hypothesis });
    const shown = chancesOf(saw, id, { hypothesis, disturbed: random });
    return [...said].flatMap(([result, chance]) => (chance > 0 ? [(shown.get(result) ?? 0) / chance] : []));
  });
  expect(Math.min(...factors)).toBeGreaterThanOrEqual(0.7);
  expect(Math.max(...factors)).toBeLessThanOrEqual(1.3);
  expect(Math.max(...factors) - Math.min(...factors)).toBeGreaterThan(0.5);
});

test('what is open for one look is not opened again for the next, and what it cannot do with is put back', () => {
  const look = (id: string) => steering.looks.find((each) => each.id === id) ?? steering.looks[0];
  const minutes = steering.looks.map((each) => ({ id: each.id, closed: wayTo(steering, each, []).minutes }));
  const opened = minutes.find(({ closed }) => closed > 0)?.id ?? '';
  const first = look(opened);
  if (!first) throw new Error('no look needs opening');
  const { reached } = wayTo(steering, first, []);
  expect(reached.length).toBeGreaterThan(0);
  expect(wayTo(steering, first, reached)).toEqual({ minutes: 0, reached });
  const back = steering.looks
    .map((each) => wayTo(steering, each, reached))
    .find((way) => !reached.every((step) => way.reached.includes(step)));
  expect(back?.minutes).toBeGreaterThan(0);
});
