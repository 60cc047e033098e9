import fc from 'fast-check';
import { motion } from './motion.ts';
import { motionInput, type Joint, type MotionInput } from './schema.ts';
import { bodiesOf, tieOf } from './transmission.ts';

const run = (input: unknown) => motion(motionInput.parse(input));

/** Chains of two-body joints that carry motion both ways. */
const teeth = fc.integer({ min: 6, max: 60 });
const link = fc.oneof(
  fc.record({ type: fc.constant('mesh' as const), teethA: teeth, teethB: teeth, internal: fc.boolean() }),
  fc.record({ type: fc.constant('bevel' as const), teethA: teeth, teethB: teeth }),
  fc.record({
    type: fc.constant('worm' as const),
    starts: fc.integer({ min: 1, max: 4 }),
    teeth,
    hand: fc.constantFrom('right' as const, 'left' as const),
  }),
  fc.record({ type: fc.constant('belt' as const), ratio: fc.double({ min: 0.2, max: 5, noNaN: true }) }),
  fc.record({ type: fc.constant('seat' as const), by: fc.constantFrom('key' as const, 'pressFit' as const) }),
);
const chain = fc.array(link, { minLength: 1, maxLength: 7 }).map((links) => ({
  bodies: [...links, null].map((_, i) => ({ id: `b${i}` })),
  joints: links.map((link, i) =>
    link.type === 'worm'
      ? { ...link, id: `j${i}`, worm: `b${i}`, wheel: `b${i + 1}` }
      : { ...link, id: `j${i}`, a: `b${i}`, b: `b${i + 1}` },
  ),
}));

/** Any driveline at all, loops and differentials included. */
const anyDriveline = fc
  .record({
    count: fc.integer({ min: 3, max: 7 }),
    links: fc.array(
      fc.tuple(fc.nat(6), fc.nat(6), fc.nat(6), fc.constantFrom('mesh', 'seat', 'worm', 'oneWay', 'differential', 'belt'), teeth, teeth),
      {
        minLength: 1,
        maxLength: 8,
      },
    ),
  })
  .map(({ count, links }) => ({
    bodies: Array.from({ length: count }, (_, i) => ({ id: `b${i}` })),
    joints: links.flatMap(([x, y, z, type, p, q], i) => joint(`j${i}`, type, [x % count, y % count, z % count], p, q)),
  }));

function joint(id: string, type: string, [x, y, z]: readonly [number, number, number], p: number, q: number): object[] {
  const [a, b, c] = [`b${x}`, `b${y}`, `b${z}`];
  if (x === y || (type === 'differential' && (z === x || z === y))) return [];
  const kinds: Record<string, object> = {
    mesh: { a, b, teethA: p, teethB: q },
    seat: { a, b, by: 'key' },
    worm: { worm: a, wheel: b, starts: 1 + (p % 4), teeth: q, selfLocking: p % 2 === 0 },
    oneWay: { driver: a, driven: b, drives: p % 2 === 0 ? 1 : -1 },
    belt: { a, b, ratio: p / q },
    differential: { case: a, left: b, right: c },
  };
  return [{ id, type, ...kinds[type] }];
}

test('a healthy chain driven on and back by what it gave stands where it began', () => {
  fc.assert(
    fc.property(chain, fc.integer({ min: -40, max: 40 }), (driveline, turns) => {
      const last = `b${driveline.joints.length}`;
      const there = run({ driveline, drive: [{ body: 'b0', turns }] }).bodies[last]?.turns ?? NaN;
      const back = run({ driveline, drive: [{ body: last, turns: there }] }).bodies.b0?.turns ?? NaN;
      return Math.abs(back - turns) < 1e-6 * Math.max(1, Math.abs(turns));
    }),
  );
});

test('reversing the drive reverses every body of a healthy chain', () => {
  fc.assert(
    fc.property(chain, fc.integer({ min: 1, max: 40 }), (driveline, turns) => {
      const on = run({ driveline, drive: [{ body: 'b0', turns }] }).bodies;
      const off = run({ driveline, drive: [{ body: 'b0', turns: -turns }] }).bodies;
      return Object.keys(on).every((id) => Math.abs((on[id]?.turns ?? NaN) + (off[id]?.turns ?? NaN)) < 1e-9 * turns);
    }),
  );
});

test('the turns until it shows are those after which it has moved so far', () => {
  fc.assert(
    fc.property(chain, (driveline) => {
      const last = `b${driveline.joints.length}`;
      const needed = run({ driveline, drive: [{ body: 'b0', turns: 1 }], watch: last }).inputTurnsToSee ?? NaN;
      const moved = run({ driveline, drive: [{ body: 'b0', turns: needed }] }).bodies[last]?.turns ?? NaN;
      return Math.abs(Math.abs(moved) * 360 - 20) < 1e-6;
    }),
  );
});

test('a jam anywhere in a rigid chain locks every body of it', () => {
  fc.assert(
    fc.property(chain, fc.nat(6), (driveline, which) => {
      const jammed = `j${which % driveline.joints.length}`;
      const { bodies } = run({ driveline, drive: [{ body: 'b0', turns: 3 }], faults: [{ joint: jammed, mode: 'jammed' }] });
      return Object.values(bodies).every(({ state, turns }) => state === 'locked' && turns === 0);
    }),
  );
});

test('an open joint leaves what lies behind it without drive', () => {
  fc.assert(
    fc.property(chain, fc.nat(6), (driveline, which) => {
      const open = which % driveline.joints.length;
      const { bodies } = run({ driveline, drive: [{ body: 'b0', turns: 3 }], faults: [{ joint: `j${open}`, mode: 'open' }] });
      return Object.entries(bodies).every(([id, { state }]) => (Number(id.slice(1)) <= open ? state === 'turns' : state === 'still'));
    }),
  );
});

const modes = fc.constantFrom('open', 'slips', 'skips', 'jammed');

test('any driveline with any faults gets a finite answer for every body', () => {
  fc.assert(
    fc.property(
      anyDriveline,
      fc.array(fc.tuple(fc.nat(7), modes), { maxLength: 3 }),
      fc.nat(6),
      fc.boolean(),
      (driveline, faults, first, underLoad) => {
        const count = driveline.joints.length;
        const input = {
          driveline,
          drive: [{ body: `b${first % driveline.bodies.length}`, turns: 2 }],
          faults:
            count === 0 ? [] : faults.map(([which, mode]) => ({ joint: (driveline.joints[which % count] as { id: string }).id, mode })),
          underLoad,
        };
        const { bodies } = run(input);
        return driveline.bodies.every(({ id }) => {
          const body = bodies[id];
          return body !== undefined && (body.turns === undefined || Number.isFinite(body.turns));
        });
      },
    ),
    { numRuns: 400 },
  );
});

test('a jam never turns anything it is rigidly tied to', () => {
  fc.assert(
    fc.property(anyDriveline, fc.nat(7), fc.nat(6), (driveline, which, first) => {
      if (driveline.joints.length === 0) return true;
      const parsed = motionInput.parse({ driveline, drive: [{ body: `b${first % driveline.bodies.length}`, turns: 2 }] });
      const jam = parsed.driveline.joints[which % parsed.driveline.joints.length] as Joint;
      const { bodies } = motion({ ...parsed, faults: [{ joint: jam.id, mode: 'jammed' }] });
      return [...rigidlyTied(parsed, jam)].every((id) => bodies[id]?.turns === 0);
    }),
    { numRuns: 400 },
  );
});

/** Reached from the jam over joints that tie both ways: no one-way clutch, no differential, no worm that may block. */
function rigidlyTied({ driveline }: MotionInput, jam: Joint): ReadonlySet<string> {
  const found = new Set(bodiesOf(jam));
  for (let grew = true; grew;) {
    grew = false;
    for (const joint of driveline.joints) {
      const blocks = joint.type === 'oneWay' || (joint.type === 'worm' && joint.selfLocking) || !tieOf(joint);
      if (blocks || !bodiesOf(joint).some((id) => found.has(id))) continue;
      for (const id of bodiesOf(joint)) {
        grew ||= !found.has(id);
        found.add(id);
      }
    }
  }
  return found;
}

test('teeth that jump against a jam let the driver jerk on', () => {
  const driveline = {
    bodies: [{ id: 'worm' }, { id: 'wheel' }, { id: 'drum' }],
    joints: [
      { id: 'bite', type: 'worm', worm: 'worm', wheel: 'wheel', starts: 1, teeth: 20 },
      { id: 'seat', type: 'seat', a: 'wheel', b: 'drum', by: 'pressFit' },
    ],
  };
  const { bodies } = run({
    driveline,
    drive: [{ body: 'worm', turns: 5 }],
    faults: [
      { joint: 'bite', mode: 'skips' },
      { joint: 'seat', mode: 'jammed' },
    ],
  });
  expect(bodies.worm?.state).toBe('irregular');
  expect(bodies.drum?.state).toBe('locked');
});

const SIZED = ['turns', 'still', 'locked'];

test('wherever nothing is broken every joint keeps its equation', () => {
  fc.assert(
    fc.property(
      anyDriveline,
      fc.nat(6),
      fc.integer({ min: -9, max: 9 }),
      fc.array(fc.nat(6), { maxLength: 2 }),
      (driveline, first, turns, rest) => {
        const count = driveline.bodies.length;
        const held = [...new Set(rest.map((each) => `b${each % count}`))].filter((id) => id !== `b${first % count}`);
        const parsed = motionInput.parse({ driveline, drive: [{ body: `b${first % count}`, turns }], held });
        const { bodies } = motion(parsed);
        const of = (id: string) => bodies[id]?.turns ?? NaN;
        return parsed.driveline.joints.every((joint) => {
          if (!bodiesOf(joint).every((id) => SIZED.includes(bodies[id]?.state ?? ''))) return true;
          const size = 1e-6 * Math.max(1, ...bodiesOf(joint).map((id) => Math.abs(of(id))));
          if (joint.type === 'differential') return Math.abs(of(joint.left) + of(joint.right) - 2 * of(joint.case)) <= size;
          if (joint.type === 'oneWay') return joint.drives * (of(joint.driver) - of(joint.driven)) <= size;
          // What a self-locking worm will not let back through stands, and the worm gets nothing.
          const tie = tieOf(joint);
          return !tie || Math.abs(of(tie.to) - of(tie.from) * tie.factor) <= size;
        });
      },
    ),
    { numRuns: 1000 },
  );
});

const loop = (joints: readonly object[], drive: readonly object[], held: readonly string[] = []) => {
  const ids = [
    ...new Set(
      joints.flatMap((each) =>
        ['a', 'b', 'case', 'left', 'right', 'driver', 'driven'].flatMap((key) => (each as Record<string, string>)[key] ?? []),
      ),
    ),
  ];
  return run({ driveline: { bodies: ids.map((id) => ({ id })), joints: joints.map((each, i) => ({ id: `j${i}`, ...each })) }, drive, held })
    .bodies;
};
const axles = { type: 'differential', case: 'c', left: 'l', right: 'r' };

test('loops through a differential turn as its equation says (left + right = 2·case)', () => {
  // Two axles geared together 10 to 20: l = 2·k, r = −k·… with the mesh r = −l/2, so l/2 = 2·case and l = 4·case.
  expect(loop([axles, { type: 'mesh', a: 'l', b: 'r', teethA: 10, teethB: 20 }], [{ body: 'c', turns: 3 }])).toMatchObject({
    l: { turns: expect.closeTo(12) as number },
    r: { turns: expect.closeTo(-6) as number },
  });
  // An axle tied to the case: the whole turns as one, whichever is driven.
  for (const body of ['c', 'l', 'r']) {
    expect(loop([axles, { type: 'seat', a: 'c', b: 'l', by: 'key' }], [{ body, turns: 5 }])).toMatchObject({
      c: { turns: 5, state: 'turns' },
      l: { turns: 5 },
      r: { turns: 5 },
    });
  }
  // Two differentials across each other: both axles of the second are those of the first, so its case follows.
  expect(loop([axles, { type: 'differential', case: 'd', left: 'l', right: 'r' }], [{ body: 'c', turns: 2 }])).toMatchObject({
    d: { turns: expect.closeTo(2) as number },
  });
  // Axles meshed one to one would turn against each other by the same: the case cannot turn.
  expect(loop([axles, { type: 'mesh', a: 'l', b: 'r', teethA: 20, teethB: 20 }], [{ body: 'c', turns: 1 }]).c).toEqual({
    turns: 0,
    state: 'locked',
  });
});

test('of two drivers with one-way clutches the faster carries, in whatever order they are written', () => {
  const clutches = [
    { type: 'oneWay', driver: 'slow', driven: 's', drives: 1 },
    { type: 'oneWay', driver: 'fast', driven: 't', drives: 1 },
    { type: 'mesh', a: 't', b: 's', teethA: 10, teethB: 30, internal: true },
  ];
  for (const [slow, fast, s] of [
    [1, 2, 1],
    [1, 6, 2],
    [0.5, 1.5, 0.5],
  ] as const) {
    for (const joints of [clutches, [...clutches].reverse()]) {
      const found = loop(joints, [
        { body: 'slow', turns: slow },
        { body: 'fast', turns: fast },
      ]);
      expect([found.s?.turns, found.t?.turns]).toEqual([expect.closeTo(s), expect.closeTo(3 * s)]);
    }
  }
});

test('a chain of self-locking worms driven backwards stops at the one nearest to the hand', () => {
  const joints = Array.from({ length: 40 }, (_, i) => ({
    id: `j${i}`,
    type: 'worm',
    worm: `b${i}`,
    wheel: `b${i + 1}`,
    starts: 1,
    teeth: 20,
    selfLocking: true,
  }));
  const bodies = Array.from({ length: 41 }, (_, i) => ({ id: `b${i}` }));
  const states = run({ driveline: { bodies, joints }, drive: [{ body: 'b40', turns: 1 }] }).bodies;
  expect([states.b40?.state, states.b39?.state, states.b0?.state]).toEqual(['locked', 'still', 'still']);
});
