import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { sampled, seeded } from '../testing.ts';
import { checkPack } from './checkPack.ts';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { hypothesesOf, priorOf, waysAlone } from './hypotheses.ts';
import { traceNext } from './next.ts';
import { oneAtATime } from './oneAtATime.ts';
import { packSchema, type Pack, type TableLook } from './pack.ts';
import { traceInput } from './schema.ts';

const random = seeded(14);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

describe('the odds of two faults are Bayes’ rule on paper', () => {
  test.each(FAMILIES)('$id, by looks whose chances stand in the file', (family) => {
    const pack = oneAtATime(family);
    const tables = pack.looks.filter((look): look is TableLook => look.kind === 'table');
    for (let round = 0; round < 6; round++) {
      const looks = [...new Set([pick(tables), pick(tables), pick(tables)])];
      // What settles a fault is no matter of odds.
      const open = (look: TableLook) => look.results.flatMap(({ settles }, i) => (settles === undefined ? [i] : []));
      const seen = looks.map((look) => ({ look, result: pick(open(look)) }));
      const observations = seen.map(({ look, result }) => ({ look: look.id, result: look.results[result]?.id ?? '' }));
      const { suspects } = traceNext(traceInput.parse({ family: pack.id, observations }), pack);
      const chance = (fault: string) => suspects.find((each) => each.fault === fault)?.probability ?? 0;
      const onPaper = (fault: Pack['faults'][number]) =>
        seen.reduce(
          (product, { look, result }) => product * Math.max((look.likelihoods[fault.id] ?? look.otherwise)[result] ?? 0, 1e-4),
          fault.prior,
        );
      const [first] = pack.faults;
      if (!first) throw new Error('a family has faults');
      for (const fault of pack.faults) expect(chance(fault.id) / chance(first.id)).toBeCloseTo(onPaper(fault) / onPaper(first), 6);
    }
  });

  test('before anything is seen, the chances are the priors, shared out beside none of these', () => {
    const pack = oneAtATime(findFamily('auger-gearbox') as Pack);
    const prior = priorOf(pack, {}, hypothesesOf(pack));
    const total = pack.faults.reduce((sum, fault) => sum + fault.prior, 0);
    const none = Object.entries(prior).reduce((sum, [id, p]) => sum + (/^(unlisted\/|outside$|sound$)/.test(id) ? p : 0), 0);
    // Outside 6, in the chain and not listed 4, sound 2 in a hundred.
    expect([prior.outside, prior.sound, none].map((p) => p?.toFixed(9))).toEqual(['0.060000000', '0.020000000', '0.120000000']);
    for (const fault of pack.faults) {
      const ways = waysAlone(hypothesesOf(pack), fault.id);
      // Ways that differ only in what people say of a dead driver are one way on paper.
      const modes = fault.modes.length > 0 ? fault.modes : [{ mode: undefined, share: 1 }];
      for (const { mode, share } of modes) {
        const shown = ways.filter(({ faults }) => faults[0]?.mode === mode).reduce((sum, { id }) => sum + (prior[id] ?? 0), 0);
        expect(shown).toBeCloseTo(((1 - none) * fault.prior * share) / total, 9);
      }
    }
  });

  test('the looks beside the advised one are in order of what they tell a minute, and their bits are mutual information', () => {
    const pack = oneAtATime(findFamily('trimmer-bevel-head') as Pack);
    const { next, alternatives, suspects, noneOfThese } = traceNext(traceInput.parse({ family: pack.id }), pack);
    const h = (p: readonly number[]) => -p.reduce((sum, each) => sum + (each > 0 ? each * Math.log2(each) : 0), 0);
    for (const advice of [...(next ? [next] : []), ...alternatives]) {
      const look = pack.looks.find(({ id }) => id === advice.look);
      // A sight has results more, of two things seen at once.
      if (look?.kind !== 'table' || look.seen) continue;
      const belief = [
        ...suspects.map(({ fault, probability }) => ({ row: look.likelihoods[fault] ?? look.otherwise, probability })),
        { row: noneOnPaper(pack, look, noneOfThese), probability: noneOfThese.outside + noneOfThese.unlisted + noneOfThese.sound },
      ];
      const results = look.results.map((_, r) =>
        belief.reduce((sum, { row, probability }) => sum + probability * Math.max(row[r] ?? 0, 1e-4), 0),
      );
      const sum = results.reduce((total, each) => total + each, 0);
      const after = results.map(
        (p, r) => (p / sum) * h(belief.map(({ row, probability }) => (probability * Math.max(row[r] ?? 0, 1e-4)) / p)),
      );
      expect(advice.expectedBits).toBeCloseTo(
        h(belief.map(({ probability }) => probability)) - after.reduce((total, each) => total + each, 0),
        6,
      );
      expect(advice.minutes).toBeCloseTo(advice.lookMinutes + advice.steps.reduce((total, { minutes }) => total + minutes, 0), 9);
    }
  });
});

/**
 * What is not on the list: a sound machine's row for sound and outside, where the file says nothing else and no cure is tried;
 * in the chain and not listed it is something unusual half the time at its place, and elsewhere what any other fault shows.
 */
function noneOnPaper(pack: Pack, look: TableLook, { outside, unlisted, sound }: { outside: number; unlisted: number; sound: number }) {
  const calm = look.sound ?? look.otherwise;
  const listedAt = (joint: string) =>
    new Set(pack.faults.flatMap(({ at, modes }) => (at === joint ? modes.flatMap(({ mode }) => mode ?? []) : []))).size;
  const ways = pack.driveline.joints.map(({ id }) => ({ id, count: 4 - listedAt(id) }));
  const here =
    ways.filter(({ id }) => id === look.at).reduce((sum, { count }) => sum + count, 0) / ways.reduce((sum, { count }) => sum + count, 0);
  const odd = calm.map((chance) => (chance <= 0.2 ? 1 / calm.filter((each) => each <= 0.2).length : 0));
  const all = outside + unlisted + sound;
  return look.results.map((_, i) => {
    const out = (look.noneOfThese ?? (look.tries ? look.otherwise : calm))[i] ?? 0;
    const other = look.otherwise[i] ?? 0;
    return (outside * out + sound * (calm[i] ?? 0) + unlisted * (here * (other / 2 + (odd[i] ?? 0) / 2) + (1 - here) * other)) / all;
  });
}

type Loose = Record<string, unknown>;
const at = (pack: Loose, path: string): [Loose, string] => {
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  return [keys.reduce<Loose>((here, key) => here[key] as Loose, pack), last];
};

/** Every place of a family file that names something else of it, found by walking the file. */
function references(pack: Pack): readonly string[] {
  const known = new Set(
    [pack.driveline.bodies, pack.driveline.joints, pack.auxiliaries, pack.faults, pack.looks, pack.steps, pack.cautions, pack.gears]
      .flat()
      .map(({ id }) => id),
  );
  const list: string[] = [];
  const walk = (value: unknown, path: string) => {
    if (
      typeof value === 'string' &&
      known.has(value) &&
      !/(^|\.)(id|name|type|kind|fact|is|hand|by|quantity|desk|handsAt|stands|moves|load|condition|contains|material|operation|school|unit|materials\.\d)$/.test(
        path,
      )
    )
      list.push(path);
    else if (value !== null && typeof value === 'object')
      for (const [key, each] of Object.entries(value)) walk(each, path === '' ? key : `${path}.${key}`);
  };
  walk(pack, '');
  return list.filter(
    (path) =>
      !/^(id|mirrored|variants|complaints\.\d+\.says|questions|driveline\.(bodies|joints)\.\d+\.(material|fit))|results|\.modes\.|figure|boreShape|tools|loose|captures/.test(
        path,
      ),
  );
}

test.each(FAMILIES)('$id: whatever the file names must be there, and is refused by its place where it is not', (pack) => {
  const places = references(pack);
  expect(places.length).toBeGreaterThan(40);
  for (const path of sampled(places, Math.ceil(places.length / 8))) {
    const broken = structuredClone(pack) as unknown as Loose;
    const [holder, key] = at(broken, path);
    holder[key] = 'gremlins';
    const parsed = packSchema.safeParse(broken);
    expect([path, parsed.success]).toEqual([path, true]);
    if (!parsed.success) continue;
    let refused: unknown;
    try {
      checkPack(parsed.data);
    } catch (error) {
      refused = error;
    }
    expect([path, refused instanceof CoreFailure && refused.path]).toEqual([path, path]);
  }
});

test.each([
  'driveline.bodies',
  'driveline.joints',
  'auxiliaries',
  'faults',
  'looks',
  'steps',
  'cautions',
  'gears',
  'complaints',
  'whileOpen',
])('two of one id in %s are refused at the second', (path) => {
  const pack = structuredClone(findFamily('saw-oil-pump')) as unknown as Loose;
  const [holder, key] = at(pack, path);
  const list = holder[key] as unknown[];
  holder[key] = [...list, list[0]];
  let refused: unknown;
  try {
    checkPack(packSchema.parse(pack));
  } catch (error) {
    refused = error;
  }
  expect(refused).toMatchObject({ code: 'duplicateId', path: `${path}.${list.length}.id` });
});
