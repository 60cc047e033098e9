import { t as strength } from '@patient-badger/wording/strength';
import { FAMILIES } from '@patient-badger/knowledge';
import type { Pack } from '@patient-badger/core/machine';
import { branchesAt, jointBetween } from '../driveline/branches.ts';
import { runOperation } from '../data/runOperation.ts';
import { loadsOf } from './loads.ts';

const pack = FAMILIES.find(({ id }) => id === 'mid-drive-motor') as Pack;
const { driveline } = pack;
const bears = (nylon: number) => [
  { joint: 'motor-nylon', capacityNm: nylon },
  { joint: 'ring-chainring', capacityNm: 200 },
];

function chain(capacities: ReturnType<typeof bears>, change?: number) {
  const worked = runOperation('strength.chain', {
    driveline,
    drive: { body: pack.order[0] ?? '', torqueNm: 2 },
    links: capacities,
    ...(change !== undefined && { changes: [{ joint: 'motor-nylon', capacityNm: change }] }),
  });
  if (!worked.ok) throw new Error(worked.sentence);
  return worked.output;
}
const wordsOf = (id: string, loads: ReturnType<typeof loadsOf>) => loads[id]?.words.map(({ text }) => text).join('; ');

test('a joint says what it carries of what it bears, the fuse is marked, and the bars share one scale', () => {
  const worked = chain(bears(5));
  const loads = loadsOf(driveline.joints, bears(5), worked);
  const [now] = worked.links;
  expect(worked.fuse).toBe('motor-nylon');
  expect(wordsOf('motor-nylon', loads)).toBe(
    `the fuse: ${Number(now?.loadNm.toPrecision(3))} N·m of 5 N·m, ${Math.round((now?.utilisation ?? 0) * 100)} %`,
  );
  expect(loads['motor-nylon']).toMatchObject({ isFuse: true, share: 1, words: [{ marked: true }] });
  expect(loads['ring-chainring']?.isFuse).toBe(false);
  expect(loads['ring-chainring']?.share).toBeLessThan(1);
});

test('after a change the old fuse says what it would be, and the next one is marked', () => {
  const loads = loadsOf(driveline.joints, bears(5), chain(bears(5), 5000));
  expect(wordsOf('motor-nylon', loads)).toMatch(/^the fuse: .* of 5 N·m, \d+ %; then .* of 5,000 N·m, \d+ %$/);
  expect(wordsOf('ring-chainring', loads)).toMatch(/^(\S+ N·m of 200 N·m, \d+ %); then the fuse: \1$/);
  expect(loads['ring-chainring']?.isFuse).toBe(true);
});

test('without a load it says what a joint bears, or that nobody knows', () => {
  const loads = loadsOf(driveline.joints, bears(5), null);
  expect(wordsOf('motor-nylon', loads)).toBe(strength.bearsNM('5 N·m'));
  expect(wordsOf('clutch', loads)).toBe(strength.bearsNotKnown);
});

test.each(FAMILIES.map((each) => [each.id, each] as const))('every link of %s stands on the line and can be pressed', (_, family) => {
  const lines = (from: string | undefined, ids: readonly string[]): readonly string[] =>
    ids.flatMap((id, i) => {
      const above = i === 0 ? from : ids[i - 1];
      const joint = above === undefined ? undefined : jointBetween(family, above, id);
      return [...(joint ? [joint.id] : []), ...branchesAt(family, id).flatMap((branch) => lines(id, branch.order))];
    });
  expect(family.driveline.joints.map(({ id }) => id).filter((id) => !lines(undefined, family.order).includes(id))).toEqual([]);
});
