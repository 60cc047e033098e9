import { FAMILIES, findFamily } from '@patient-badger/knowledge';
import { refusalOf } from '../testing.ts';
import { rankLooks } from './advice.ts';
import { checkPack } from './checkPack.ts';
import { priorOf } from './hypotheses.ts';
import { traceNext } from './next.ts';
import { modelOverrides } from './modelOverrides.ts';
import { applyOverrides } from './overrides.ts';
import { packSchema, type Pack } from './pack.ts';
import { look, question } from './packParts.ts';
import { oneAtATime } from './oneAtATime.ts';
import { packModel } from './packModel.ts';
import { remarksOn } from './remarksOn.ts';
import { traceInput } from './schema.ts';

const sound = findFamily('saw-oil-pump') as Pack;
const changed = (change: (pack: Pack) => void) => {
  const pack = packSchema.parse(structuredClone(sound));
  change(pack);
  return pack;
};
const first = <T>(list: readonly T[]): T => list[0] as T;
describe('a family that ships has no remark, and each weakness has its own', () => {
  test.each(FAMILIES)('$id', (pack) => {
    expect(remarksOn(pack)).toEqual([]);
  });

  test.each<[string, (pack: Pack) => void, ReturnType<typeof remarksOn>]>([
    [
      'a look that the textbook does not order',
      (pack) => (pack.textbookOrder = pack.textbookOrder.filter((id) => id !== 'cup-feed')),
      [{ code: 'notInTextbook', path: 'textbookOrder', detail: { id: 'cup-feed' } }],
    ],
    [
      'a caution that nothing reads out',
      (pack) => pack.cautions.push({ ...first(pack.cautions), id: 'dragons' }),
      [{ code: 'cautionUnread', path: `cautions.${sound.cautions.length}`, detail: { id: 'dragons' } }],
    ],
    [
      'a step that nothing closes',
      (pack) => pack.closing.forEach((each) => (each.closes = each.closes.filter((id) => id !== 'pump-out'))),
      [{ code: 'stepNotUndone', path: `steps.${sound.steps.findIndex(({ id }) => id === 'pump-out')}`, detail: { id: 'pump-out' } }],
    ],
    [
      'a fact that nobody is asked for',
      (pack) => (pack.questions = pack.questions.filter(({ fact }) => fact !== 'hours')),
      sound.faults.flatMap(({ shifts }, i) =>
        shifts.flatMap(({ fact }, j) =>
          fact === 'hours' ? [{ code: 'factUnasked' as const, path: `faults.${i}.shifts.${j}`, detail: { fact } }] : [],
        ),
      ),
    ],
  ])('%s', (_name, change, remarks) => {
    expect(remarks.length).toBeGreaterThan(0);
    expect(remarksOn(changed(change))).toEqual(remarks);
  });

  test('no parts that fail without an outward sign', () => {
    const pack = changed((each) =>
      each.faults.forEach((fault) => Object.assign(fault, { at: 'worm-pinion', modes: [{ mode: 'slips', share: 1, dead: [] }] })),
    );
    expect(remarksOn(pack)).toContainEqual({ code: 'noInnocents', path: 'faults', detail: {} });
  });
});

test('looks are ranked by what they tell a minute, not by what they tell', () => {
  const model = packModel(sound);
  const { possible: ranked } = rankLooks({
    pack: sound,
    model,
    belief: priorOf(sound, {}, model.hypotheses),
    taken: new Set(),
    reached: new Set(),
  });
  const rates = ranked.map(({ expectedBits, minutes }) => expectedBits / minutes);
  expect(rates).toEqual([...rates].sort((p, q) => q - p));
  const bits = ranked.map(({ expectedBits }) => expectedBits);
  expect(bits).not.toEqual([...bits].sort((p, q) => q - p));
});

test('an answer to a choice moves the chance only where it is the one named', () => {
  const shifted = sound.faults.flatMap(({ id, shifts }) => shifts.flatMap((each) => (each.is === undefined ? [] : [{ id, ...each }])));
  const shift = first(shifted);
  const odds = (is?: string) => {
    const facts = is === undefined ? {} : { [shift.fact]: is };
    const { suspects } = traceNext(traceInput.parse({ family: sound.id, facts }), oneAtATime(sound));
    const chance = (id: string) => suspects.find(({ fault }) => fault === id)?.probability ?? 0;
    const still = sound.faults.find(({ id, shifts }) => id !== shift.id && shifts.every(({ fact }) => fact !== shift.fact));
    return chance(shift.id) / chance(still?.id ?? '');
  };
  expect(odds(String(shift.is)) / odds()).toBeCloseTo(shift.factor, 6);
  expect(odds('something else') / odds()).toBeCloseTo(1, 9);
});

test('two of one name are refused by the name; an unknown find by what is known', () => {
  const twice = refusalOf(() => checkPack(changed((pack) => ((pack.faults[1] as Pack['faults'][number]).id = first(pack.faults).id))));
  expect(twice).toMatchObject({ code: 'duplicateId', path: 'faults.1.id', detail: { given: first(sound.faults).id } });
  const unknown = refusalOf(() => traceNext(traceInput.parse({ family: sound.id, found: ['moths'] }), sound));
  expect(unknown).toMatchObject({
    code: 'unknownId',
    path: 'found.0',
    detail: { given: 'moths', known: sound.faults.map(({ id }) => id).join(', ') },
  });
});

test('closing that only undoes a step this model has not got goes with it; other closing stays', () => {
  const model = applyOverrides(sound, modelOverrides.parse({ withoutSteps: ['pump-out'] }));
  const names = model.closing.map(({ id }) => id);
  expect(names).not.toContain('pump-on');
  expect(names).toEqual(sound.closing.map(({ id }) => id).filter((id) => id !== 'pump-on'));
});

test('what a family file leaves out', () => {
  const least = {
    id: 'feel',
    name: 'Feel',
    how: 'By finger.',
    minutes: 1,
    at: 'worm',
    kind: 'kinematic',
    drive: { body: 'worm' },
    watch: 'arm',
  };
  expect(look.parse(least)).toEqual({
    ...least,
    needs: [],
    while: [],
    power: 'hand',
    tools: [],
    helper: false,
    cautions: [],
    held: [],
    apart: [],
    underLoad: false,
    misread: 0.04,
    words: {},
    takes: [],
    shows: {},
  });
  expect(question.parse({ fact: 'hours', ask: 'Hours', kind: 'number' }).choices).toEqual([]);
  const { id, name, summary, complaints, driveline, order, faults, looks, proofs } = sound;
  expect(packSchema.parse({ id, name, summary, complaints, driveline, order, faults, looks, proofs })).toMatchObject({
    safetyCritical: false,
    questions: [],
    branches: [],
    auxiliaries: [],
    cautions: [],
    steps: [],
    gears: [],
    closing: [],
    whileOpen: [],
    textbookOrder: [],
  });
});
