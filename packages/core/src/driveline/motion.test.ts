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
  joints: links.map((each, i) =>
    each.type === 'worm'
      ? { ...each, id: `j${i}`, worm: `b${i}`, wheel: `b${i + 1}` }
      : { ...each, id: `j${i}`, a: `b${i}`, b: `b${i + 1}` },
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
    for (const each of driveline.joints) {
      const blocks = each.type === 'oneWay' || (each.type === 'worm' && each.selfLocking) || !tieOf(each);
      if (blocks || !bodiesOf(each).some((id) => found.has(id))) continue;
      for (const id of bodiesOf(each)) {
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
