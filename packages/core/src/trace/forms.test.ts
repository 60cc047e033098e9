import { findFamily } from '@patient-badger/knowledge';
import { CoreFailure } from '../failure/CoreFailure.ts';
import { checkPack } from './checkPack.ts';
import { explainPack } from './explainPack.ts';
import { modelOverrides } from './modelOverrides.ts';
import { traceNext } from './next.ts';
import { applyOverrides, packForFacts } from './overrides.ts';
import { packSchema, type Pack } from './pack.ts';
import { packModel } from './packModel.ts';
import { withRowsInOrder } from './rows.ts';
import { traceInput } from './schema.ts';
import { withSidesWritten } from './sides.ts';

const saw = findFamily('saw-oil-pump') as Pack;
const ask = (pack: Pack, more: object) => traceNext(traceInput.parse({ family: pack.id, ...more }), pack);
const chance = (output: ReturnType<typeof ask>, id: string) => output.suspects.find(({ fault }) => fault === id)?.probability ?? 0;

const SIDES = [
  { id: 'left', letter: 'l', name: 'left' },
  { id: 'right', letter: 'r', name: 'right' },
];

test('what is written for one side is written out for both, in lists, in fields and in texts', () => {
  expect(
    withSidesWritten({
      sides: SIDES,
      formerly: { 'key-left': 'key' },
      faults: [{ id: 'key-{side}', name: '{Name} key', at: '{letter}hub' }, { id: 'belt' }],
      looks: [{ id: 'rock', likelihoods: { 'key-{side}': { '{side}': 0.9, '{other}': 0.1 } } }],
      frees: ['{letter}hub', 'case'],
    }),
  ).toEqual({
    sides: SIDES,
    faults: [{ id: 'key', name: 'Left key', at: 'lhub' }, { id: 'key-right', name: 'Right key', at: 'rhub' }, { id: 'belt' }],
    looks: [{ id: 'rock', likelihoods: { key: { left: 0.9, right: 0.1 }, 'key-right': { right: 0.9, left: 0.1 } } }],
    frees: ['lhub', 'rhub', 'case'],
    mirrored: { key: 'key-right', 'key-right': 'key', lhub: 'rhub', rhub: 'lhub' },
  });
});

test('a family that was written out is read again as it is', () => {
  const pack = findFamily('walk-drive-gearbox') as Pack;
  expect(packSchema.parse(JSON.parse(JSON.stringify(pack)))).toEqual(pack);
});

test('chances by result stand in the order of the results, and what is left is shared', () => {
  const look = (row: unknown) => ({
    looks: [{ id: 'x', results: [{ id: 'a' }, { id: 'b' }, { id: 'c' }], likelihoods: { f: row }, otherwise: [1, 0, 0] }],
  });
  expect(withRowsInOrder(look({ b: 0.8 }))).toMatchObject({
    looks: [{ likelihoods: { f: [0.09999999999999998, 0.8, 0.09999999999999998] } }],
  });
  // A result the look does not have makes a figure too many, which the checks refuse.
  expect(withRowsInOrder(look({ d: 0.8 }))).toMatchObject({ looks: [{ likelihoods: { f: { length: 4 } } }] });
});

test('a variant is another order of the same parts: the clip comes first where the drum lies outside', () => {
  const outside = packForFacts(saw, { variant: 'drum-outside' });
  const way = (pack: Pack) =>
    ask(pack, {})
      .alternatives.find(({ look }) => look === 'chips-on-worm')
      ?.steps.map(({ id }) => id) ?? [];
  expect(way(saw).indexOf('clutch-off')).toBeLessThan(way(saw).indexOf('drum-off'));
  expect(way(outside).indexOf('drum-off')).toBeLessThan(way(outside).indexOf('clutch-off'));
  const clip = (pack: Pack) => pack.steps.some(({ loose }) => loose.some(({ kind }) => kind === 'clip'));
  expect([clip(saw), clip(outside)]).toEqual([false, true]);
  expect(packForFacts(saw, { variant: 'no-such' })).toBe(saw);
  // The same fact moves the answer of the operation.
  expect(ask(saw, { facts: { variant: 'drum-outside' } }).suspects).toHaveLength(saw.faults.length);
});

test('a model may have another joint, lack a fault and a look, and is checked as a whole', () => {
  const joints = [{ id: 'worm-pinion', type: 'seat', a: 'worm', b: 'pinion', by: 'pin' }];
  const model = applyOverrides(saw, modelOverrides.parse({ put: { joints }, without: { faults: ['vent-blocked'], looks: ['vent-open'] } }));
  expect(model.driveline.joints.find(({ id }) => id === 'worm-pinion')?.type).toBe('seat');
  expect(model.faults.map(({ id }) => id)).not.toContain('vent-blocked');
  expect(JSON.stringify(model.looks)).not.toContain('vent-blocked');
  expect(() => applyOverrides(saw, modelOverrides.parse({ without: { joints: ['worm-pinion'] } }))).toThrow(CoreFailure);
  expect(() => applyOverrides(saw, modelOverrides.parse({ without: { faults: ['moths'] } }))).toThrow(
    expect.objectContaining({ path: 'without.faults.moths' }),
  );
});

test('an own look moves the suspect it is about, and only as surely as one is', () => {
  const own = (speaks: string, sure: string) => ask(saw, { ownLooks: [{ saw: 'a bright ring', fault: 'worm-loose', speaks, sure }] });
  const before = chance(ask(saw, {}), 'worm-loose');
  const odds = (p: number) => p / (1 - p);
  const factor = (speaks: string, sure: string) => odds(chance(own(speaks, sure), 'worm-loose')) / odds(before);
  expect(factor('for', 'little')).toBeCloseTo(2, 6);
  expect(factor('for', 'fairly')).toBeCloseTo(5, 6);
  expect(factor('for', 'very')).toBeCloseTo(19, 6);
  expect(factor('against', 'very')).toBeCloseTo(1 / 19, 6);
  expect(own('for', 'very').suspects.find(({ fault }) => fault === 'worm-loose')?.because).toMatchObject([
    { look: 'own:0', result: 'for' },
  ]);
  expect(() => ask(saw, { ownLooks: [{ saw: 'x', fault: 'moths', speaks: 'for', sure: 'very' }] })).toThrow(
    expect.objectContaining({ path: 'ownLooks.0.fault' }),
  );
});

describe('two faults at once', () => {
  const head = findFamily('trimmer-bevel-head') as Pack;
  const seen = [
    { look: 'cutter-turn', result: 'rough' },
    { look: 'teeth-lamp', result: 'gone+bearing' },
  ];

  test('both are in the verdict, and the pair is told', () => {
    const output = ask(head, { observations: seen });
    expect([...(output.verdict?.faults ?? [])].sort()).toEqual(['bearing-gone', 'teeth-stripped']);
    expect(output.pairs[0]?.faults).toEqual(expect.arrayContaining(['bearing-gone', 'teeth-stripped']));
  });

  test('each find names who explains it', () => {
    const { finds } = ask(head, { observations: seen });
    expect(finds.find(({ look }) => look === 'cutter-turn')?.explainedBy[0]).toBe('bearing-gone');
    const both = finds.find(({ look }) => look === 'teeth-lamp')?.explainedBy;
    expect([...(both ?? [])].sort()).toEqual(['bearing-gone', 'teeth-stripped']);
    // What was found and kept still explains what it showed.
    const kept = ask(head, { observations: seen.slice(0, 1), found: ['bearing-gone'] }).finds;
    expect(kept[0]?.explainedBy[0]).toBe('bearing-gone');
  });

  test('one find kept, the complaint is not counted again for what it explains', () => {
    const complaint = (id?: string) => ({ found: ['bearing-gone'], ...(id && { facts: { complaint: id } }) });
    // Hot and loud is what a gone bearing makes; that the grease is gone too is hardly likelier for it.
    const [told, untold] = [chance(ask(head, complaint('hot-loud')), 'no-grease'), chance(ask(head, complaint()), 'no-grease')];
    const alone = chance(ask(head, { facts: { complaint: 'hot-loud' } }), 'no-grease') / chance(ask(head, {}), 'no-grease');
    expect(alone).toBeGreaterThan(1.3);
    expect(told / untold).toBeLessThan(1 + (alone - 1) / 2);
  });

  test('a sight that showed what was found is worth another look, once', () => {
    const observations = [{ look: 'teeth-lamp', result: 'gone' }];
    const looks = (list: object[]) => {
      const { next, alternatives } = ask(head, { observations: list, found: ['teeth-stripped'], reached: ['head-off', 'head-open'] });
      return [next, ...alternatives].map((each) => each?.look);
    };
    expect(looks(observations)).toContain('teeth-lamp');
    expect(looks([...observations, ...observations])).not.toContain('teeth-lamp');
  });

  test('every result stays one when a fault was found', () => {
    for (const { id } of head.faults) {
      for (const look of head.looks) {
        const of = (found: string[]) =>
          packModel(head, found)
            .outcomes.get(look.id)
            ?.map(({ result }) => result);
        expect(of([id])).toEqual(of([]));
      }
    }
  });
});

describe('what does not meet is refused', () => {
  const refusal = (change: (pack: Pack) => void) => {
    const pack = structuredClone(saw);
    change(pack);
    try {
      checkPack(pack);
    } catch (error) {
      return error;
    }
    return null;
  };
  const lookOf = (pack: Pack, id: string) => pack.looks.find((each) => each.id === id) as Pack['looks'][number];
  const stepOf = (pack: Pack, id: string) => pack.steps.find((each) => each.id === id) as Pack['steps'][number];

  test.each([
    [
      'a caution that forbids what the look needs',
      (pack: Pack) => lookOf(pack, 'paper-test').cautions.push('plug-lead-off'),
      'cautionForbids',
    ],
    ['steps that end what the look needs', (pack: Pack) => lookOf(pack, 'passage-wire').while.push('bar-on'), 'needsWhatItEnds'],
    [
      'a state given back by a step that may come before or after',
      (pack: Pack) => stepOf(pack, 'tank-drained').gives.push('bar-on'),
      'givenBackUnclear',
    ],
  ])('%s', (_name, change, reason) => {
    expect(refusal((pack) => void change(pack))).toMatchObject({ code: 'contradiction', detail: { reason } });
  });

  test('a find that its look cannot show', () => {
    expect(refusal((pack) => void (pack.finds[0] = { look: 'wet-underneath', result: 'blue' }))).toMatchObject({ path: 'finds.0.result' });
  });
});

test('a file of before is read, and what it lacks is said in remarks', () => {
  const { auxiliaries, finds: _, ...rest } = structuredClone(saw);
  const report = explainPack({ ...rest, outliers: auxiliaries });
  expect(report.mistakes).toEqual([]);
  expect(report.remarks.map(({ code }) => code)).toEqual(expect.arrayContaining(['writtenEarlier', 'nothingAtService']));
});
