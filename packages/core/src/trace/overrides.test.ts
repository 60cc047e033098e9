import { findFamily } from '@patient-badger/knowledge';
import { motion } from '../driveline/motion.ts';
import { modelOverrides } from './modelOverrides.ts';
import { applyOverrides } from './overrides.ts';
import type { Pack } from './pack.ts';
import { traceNext } from './next.ts';
import { traceInput } from './schema.ts';

const pack = findFamily('saw-oil-pump') as Pack;
const model = (given: object) => applyOverrides(pack, modelOverrides.parse(given));
const pinionTurns = (of: Pack) =>
  motion({
    driveline: of.driveline,
    drive: [{ body: 'worm', turns: 20 }],
    held: [],
    faults: [],
    underLoad: false,
    visibleDeg: 20,
    visibleMm: 2,
  }).bodies.pinion?.turns;

test('a model with other counts moves otherwise, and the family stays as it is', () => {
  expect(pinionTurns(model({ joints: { 'worm-pinion': { starts: 2, teeth: 20 } } }))).toBeCloseTo(2, 9);
  expect(pinionTurns(pack)).toBeCloseTo(20 / 17, 9);
});

test('a model without a step is opened without it, and what it needed is still done', () => {
  const open = model({ withoutSteps: ['cover-off'] });
  const look = open.looks.find(({ id }) => id === 'drum-watch-arm');
  expect(look?.needs).toEqual(['lead-off']);
  expect(open.steps.map(({ id }) => id)).not.toContain('cover-off');
});

test('a step that takes longer makes its looks dearer', () => {
  const slow = model({ steps: { 'clutch-off': { minutes: 30 } } });
  const minutes = (of: Pack) => {
    const { next, alternatives } = traceNext(traceInput.parse({ family: of.id }), of);
    return [next, ...alternatives].find((each) => each?.look === 'worm-watch-pinion')?.minutes ?? 0;
  };
  expect(minutes(slow)).toBeGreaterThan(minutes(pack) + 20);
});

test('the same overrides give the same pack, none give the family itself', () => {
  expect(model({})).toBe(pack);
  expect(model({ bodies: { worm: { material: 'brass' } } })).toBe(model({ bodies: { worm: { material: 'brass' } } }));
});

test.each([
  [{ joints: { nowhere: { teeth: 3 } } }, 'joints.nowhere'],
  [{ joints: { 'worm-pinion': { leadMm: 2 } } }, 'joints.worm-pinion'],
  [{ withoutSteps: ['fly'] }, 'steps.fly'],
])('%j is refused', (given, path) => {
  expect(() => model(given)).toThrow(expect.objectContaining({ path }));
});
