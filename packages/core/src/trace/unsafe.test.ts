import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import fc from 'fast-check';
import { openAfter, openNow } from '../access/state.ts';
import { runs } from '../testing.ts';
import { forbidden } from './forbidden.ts';
import { traceNext } from './next.ts';
import type { Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { advisedLooks, traceInput } from './schema.ts';
import { silentCovers, unsafe } from './unsafe.ts';

test.each(FAMILIES)('$id says of each look and step where hands are, what it stands on and what moves it', ({ looks, steps, variants }) => {
  const put = variants.flatMap(({ overrides }) => [...(overrides.put?.steps ?? []), ...(overrides.put?.looks ?? [])]);
  for (const each of [...looks, ...steps, ...put]) {
    expect([each.id, each.handsAt, each.stands, each.moves]).toEqual([each.id, expect.any(String), expect.any(String), expect.any(String)]);
  }
  for (const each of looks) if (each.kind === 'kinematic') expect([each.id, each.load]).toEqual([each.id, expect.any(String)]);
});

test.each(FAMILIES)('$id: a cover that comes off is a state that ends', (pack) => {
  expect(silentCovers(pack)).toEqual([]);
});

/** Walks at random: any look that is advised or possible is taken, with any result, so that every state is come by. */
const walk = fc.array(fc.tuple(fc.nat(50), fc.nat(20)), { minLength: 1, maxLength: 6 });

test.each(FAMILIES)('$id: nothing that is advised could hurt, in any order and with any answers', (pack) => {
  const results = packModel(pack).outcomes;
  fc.assert(
    fc.property(walk, (choices) => {
      const observations: { look: string; result: string }[] = [];
      let reached: readonly string[] = [];
      for (const [which, what] of choices) {
        const advised = advisedLooks(traceNext(traceInput.parse({ family: pack.id, observations, reached }), pack));
        for (const each of advised) expect([...unsafe(pack, each, reached), ...forbidden(pack, each, reached)]).toEqual([]);
        const taken = advised[which % Math.max(1, advised.length)];
        if (!taken) return;
        reached = openAfter(taken, reached);
        const list = results.get(taken.look) ?? [];
        observations.push({ look: taken.look, result: list[what % list.length]?.result ?? '' });
      }
    }),
    { numRuns: runs(4, 8) },
  );
});

test('the rules see what is wrong: a hand in it with the supply on, a cover off what runs, a wall moved on its props', () => {
  const slide = findFamily('slide-rack-drive') as Pack;
  const advice = (look: string, steps: readonly string[] = []) => {
    const [any] = advisedLooks(traceNext(traceInput.parse({ family: slide.id }), slide));
    if (!any) throw new Error('nothing is advised');
    return { ...any, look, undo: [], steps: slide.steps.filter(({ id }) => steps.includes(id)) };
  };
  expect(unsafe(slide, advice('rock-sides'), [])).toEqual(['handInPowered: rock-sides, motor']);
  expect(unsafe(slide, advice('both-racks'), openNow(slide, [{ done: 'gearbox-open' }]))).toContain('coverOff: both-racks');
  expect(unsafe(slide, advice('both-racks'), ['supported'])).toContain('movedOnProps: both-racks');
  expect(unsafe(slide, advice('nylon-lamp', ['gearbox-open']), [])).toContain('handInPowered: gearbox-open, motor');
  const tractor = findFamily('garden-transaxle') as Pack;
  expect(unsafe(tractor, advice('speeds'), ['raised'])).toContain('drivenOnStands: speeds');
  const bare = { ...slide, looks: slide.looks.map(({ handsAt: _, ...each }) => each) };
  expect(unsafe(bare, advice('button'), [])).toContain('handNearTurning: button');
});
